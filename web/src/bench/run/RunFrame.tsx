import { Box, chakra } from '@chakra-ui/react';
import type { MethodId } from '@steady-scatter/core/testing';
import { ArrowLeft } from 'lucide-react';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { nameOf, say } from '@steady-scatter/words/bench';
import { useCommands } from '../../commands/CommandsProvider.tsx';
import type { DocumentStatus } from '../../documents/useDocument.ts';
import { useOutbox, type Waiting } from '../../outbox/index.ts';
import { CommandButton } from '../../ui/CommandButton.tsx';
import { goOnWithEnter } from '../../ui/goOnWithEnter.ts';
import { TopBar } from '../../ui/TopBar.tsx';
import { HandOver } from '../HandOver.tsx';
import { KeptNote } from './KeptNote.tsx';
import type { LiveState } from './useLiveDocument.ts';

interface FrameProps {
  id: string;
  name: string;
  number: number;
  method: MethodId | null;
  note: ReactNode;
  /** Leaves room for what stands at the foot of a phone. */
  hasFoot: boolean;
  children: ReactNode;
}

/** What stands around a test run. */
export function RunFrame({ id, name, number, method, note, hasFoot, children }: FrameProps) {
  const navigate = useNavigate();
  const leave = () => void navigate(`/bench/${id}`);
  useCommands([{ id: 'leave-run', label: say('testRun.frame.back'), keys: 'Alt+B', run: leave }]);
  return (
    <>
      <title>{say('testRun.frame.title', { number, name })}</title>
      <TopBar
        acts={
          <>
            <HandOver path={`/bench/${id}/run`} />
            <CommandButton icon={ArrowLeft} label={say('testRun.frame.toBench')} onClick={leave} />
          </>
        }
      >
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {name}
        </chakra.h1>
        <chakra.span fontSize="16px" color="ink.soft">
          {say('testRun.frame.about', { number, method: method ? nameOf('method', method) : 'none' })}
        </chakra.span>
        {note}
      </TopBar>
      <Box
        as="main"
        id="main"
        padding={{ base: hasFoot ? '4px 16px 110px' : '4px 16px 24px', md: '8px 24px 32px' }}
        onKeyDown={goOnWithEnter}
      >
        {children}
      </Box>
    </>
  );
}

const RANK: Readonly<Record<DocumentStatus, number>> = {
  saved: 0,
  'on-device': 1,
  draft: 1,
  new: 1,
  refused: 2,
};

/** How far what is typed of a run, of its calibration and of the runs before has got: whichever has not got as far. */
export function RunNote({ calibration, of }: { calibration: string; of: readonly LiveState[] }) {
  const isOne = ({ entry }: Waiting) => entry.what === 'row' && entry.row.subject === calibration;
  const rows = useOutbox().filter(isOne);
  const refusal = rows.find((row) => row.refusal)?.refusal ?? null;
  const appended: LiveState = {
    status: refusal ? 'refused' : rows.length > 0 ? 'on-device' : 'saved',
    refusal,
  };
  const worst = [...of, appended].toSorted((a, b) => RANK[b.status] - RANK[a.status])[0]!;
  return <KeptNote {...worst} />;
}

import { Box, Button, chakra } from '@chakra-ui/react';
import { openObstacles, overruled, type Obstacle } from '@steady-scatter/core/runSheet';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { say, speak } from '@steady-scatter/words/load';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { today } from '../ui/today.ts';
import { keepWho, whoWorks } from '../ui/who.ts';
import { useLoadFields } from './useLoadFields.ts';
import type { RunOfSheet } from './useRunSheet.ts';

/** Where what stands against a sheet can be mended: a stop of its tape. */
const MENDS: Readonly<Record<string, { stop: string; label: string }>> = {
  machine: { stop: 'machine', label: say('load.stands.fix.machine') },
  hopper: { stop: 'machine', label: say('load.stands.fix.machine') },
  chart: { stop: 'test', label: say('load.stands.fix.test') },
  stale: { stop: 'test', label: say('load.stands.fix.test') },
  product: { stop: 'test', label: say('load.stands.fix.test') },
  beyond: { stop: 'test', label: say('load.stands.fix.test') },
  spacing: { stop: 'width', label: say('load.stands.fix.width') },
  'other-spacing': { stop: 'width', label: say('load.stands.fix.width') },
};

/** The address of a stop of the open sheet; the sheet itself for what is mended there. */
function useStopPath(): (stop: string) => string {
  const { id } = useParams();
  return (stop) => (id ? `/jobs/${id}${stop && `/${stop}`}` : stop ? `/new/${stop}` : '/');
}

/** One thing that stands against it: what it is, where it is mended, and why it is overruled. */
function ObstacleLine({
  obstacle,
  reason,
  onReason,
}: {
  obstacle: Obstacle;
  reason: string;
  onReason(text: string): void;
}) {
  const pathOf = useStopPath();
  const text = speak(obstacle.message);
  const mend = MENDS[obstacle.id];
  return (
    <Box as="li" borderLeftWidth="4px" borderColor="warn" paddingLeft="12px" marginTop="12px">
      <Box fontSize="17px">
        <chakra.span color="warn" fontWeight="bold" aria-hidden>
          ▲{' '}
        </chakra.span>
        {text}
      </Box>
      <Box display="flex" flexWrap="wrap" gap="4px 12px" alignItems="end">
        <Button asChild variant="ghost" minHeight="touch" paddingX="4px">
          <Link to={pathOf(mend?.stop ?? '')}>{mend?.label ?? say('load.stands.fix.need')}</Link>
        </Button>
        {obstacle.mayOverride ? (
          <Box flex="1 1 180px">
            <LabelledField
              label={say('load.stands.reason')}
              aria-label={say('load.stands.reasonOf', { what: text })}
              value={reason}
              onChange={onReason}
            />
          </Box>
        ) : (
          <Box fontSize="15px" color="ink.soft" minHeight="touch" display="flex" alignItems="center">
            {say('load.stands.must')}
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** What was marked ready, by whom, over what. */
function IsReady({ of, onUndo }: { of: RunOfSheet; onUndo(): void }) {
  const { ready } = of.input;
  if (!ready) return null;
  return (
    <Box marginTop="16px" borderTopWidth="2px" borderColor="act" paddingTop="12px" fontSize="17px">
      <Box display="flex" gap="8px" alignItems="center" fontWeight="bold">
        <Check size={22} aria-hidden /> {say('load.ready.is', { by: ready.by, day: dayText(ready.onDay) })}
      </Box>
      {overruled(of.sheet.obstacles, ready).map(({ id, message, reason }) => (
        <Box key={id} color="ink.soft" fontSize="16px">
          {say('load.ready.over', { what: speak(message), reason })}
        </Box>
      ))}
      <Button variant="ghost" minHeight="touch" paddingX="4px" onClick={onUndo} data-noprint>
        {say('load.ready.undo')}
      </Button>
    </Box>
  );
}

/** Everything that stands against the sheet, and the one press that makes it ready. */
export function ReadyBox({ of }: { of: RunOfSheet }) {
  const { input, set } = useLoadFields();
  const { sheet } = of;
  const [reasons, setReasons] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries((input.ready?.overrides ?? []).map(({ id, reason }) => [id, reason])),
  );
  const [by, setBy] = useState(() => input.ready?.by || whoWorks());
  const [isAsked, setAsked] = useState(false);
  if (sheet.readiness === 'ready') return <IsReady of={of} onUndo={() => set('ready', null)} />;
  const overrides = sheet.obstacles.flatMap(({ id, mayOverride }) =>
    mayOverride && reasons[id]?.trim() ? [{ id, reason: reasons[id].trim() }] : [],
  );
  const open = openObstacles(sheet.obstacles, { overrides });
  const mark = () => {
    if (by.trim() === '' || open.length > 0) {
      setAsked(true);
      return;
    }
    keepWho(by);
    set('ready', { onDay: today(), by: by.trim(), of: sheet.mark, overrides });
  };
  return (
    <Box
      as="section"
      aria-label={say('load.stands')}
      marginTop="16px"
      borderTopWidth="1px"
      borderColor="line"
      paddingTop="12px"
    >
      {sheet.readiness === 'changed' && input.ready && (
        <Box color="warn" fontWeight="semibold" fontSize="17px">
          {say('load.ready.changed', { by: input.ready.by, day: dayText(input.ready.onDay) })}
        </Box>
      )}
      {sheet.obstacles.length === 0 ? (
        <Box fontSize="17px">{say('load.stands.none')}</Box>
      ) : (
        <Box as="ul" listStyleType="none">
          {sheet.obstacles.map((obstacle) => (
            <ObstacleLine
              key={obstacle.id}
              obstacle={obstacle}
              reason={reasons[obstacle.id] ?? ''}
              onReason={(text) => setReasons({ ...reasons, [obstacle.id]: text })}
            />
          ))}
        </Box>
      )}
      <Box display="flex" flexWrap="wrap" gap="10px" alignItems="end" marginTop="16px" data-noprint>
        <Box flex="1 1 150px">
          <LabelledField label={say('load.ready.by')} value={by} onChange={setBy} />
        </Box>
        <Button variant="solid" minHeight="56px" onClick={mark}>
          {say('load.ready.mark')}
        </Button>
      </Box>
      {isAsked && (open.length > 0 || by.trim() === '') && (
        <Box role="alert" color="warn" fontWeight="semibold" marginTop="8px">
          {open.length > 0 ? say('load.ready.open', { count: open.length }) : say('load.ready.needsBy')}
        </Box>
      )}
    </Box>
  );
}

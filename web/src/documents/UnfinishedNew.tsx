import { Box, Button } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { oneOf } from '@steady-scatter/words/things';
import { say } from '@steady-scatter/words/common';
import { useNotices } from '../notices/notices.tsx';
import { momentText } from '../ui/momentText.ts';
import type { DocumentKind } from './documentKind.ts';
import { deleteUnfinished, unfinishedOf, type Unfinished } from './drafts.ts';
import type { GoOnWith } from './useHeldAs.ts';

/** More than these are not offered at once. */
const MAX_OFFERED = 3;

interface Props<Input> {
  kind: DocumentKind<Input>;
  /** What the open one is held as. */
  heldAs: string;
}

/** New ones that were begun and not saved: offered beside the one that is open, never in its place. */
export function UnfinishedNew<Input>({ kind, heldAs }: Props<Input>) {
  const { pathname } = useLocation();
  const notices = useNotices();
  const [offered, setOffered] = useState(() => unfinishedOf(kind, heldAs));
  const remove = (one: Unfinished<Input>) => {
    const putBack = deleteUnfinished(kind, one.heldAs);
    setOffered(unfinishedOf(kind, heldAs));
    notices.undoable(say('common.unfinishedDeleted'), async () => {
      await putBack();
      setOffered(unfinishedOf(kind, heldAs));
    });
  };
  if (offered.length === 0) return null;
  return (
    <Box as="section" aria-label={say('common.unfinished')} fontSize="15px" color="ink.soft" data-noprint>
      {offered.slice(0, MAX_OFFERED).map((one) => (
        <Box key={one.heldAs} display="flex" flexWrap="wrap" alignItems="center" columnGap="10px">
          <span>
            {say('common.unfinishedSince', { one: oneOf(kind.kind.name), when: momentText(one.at) })}
          </span>
          <Button asChild variant="ghost" minHeight="44px" paddingX="8px">
            <Link to={pathname} state={{ draft: one.heldAs } satisfies GoOnWith}>
              {kind.kind.nameOf(one.input).trim() || say('common.noName')}
            </Link>
          </Button>
          <Button variant="ghost" minHeight="44px" paddingX="8px" onClick={() => remove(one)}>
            {say('common.delete')}
          </Button>
        </Box>
      ))}
    </Box>
  );
}

import { Box, Button, chakra } from '@chakra-ui/react';
import type { Kind } from '@steady-scatter/contract';
import { useState } from 'react';
import { say } from '@steady-scatter/words/common';
import { explain } from '../../api/explain.ts';
import { dayText } from '../../ui/dayText.ts';
import { useNotices } from '../../notices/notices.tsx';
import { SampleBadge } from '../../ui/SampleBadge.tsx';
import { docActs, useRemoved } from '../docs.ts';
import { removingOf } from '../removing.ts';
import { manyOf } from '@steady-scatter/words/things';

/** What was taken off a list, asked for when somebody looks for it; each can be put back. */
export function RemovedList({ kind }: { kind: Kind }) {
  const [isOpen, setOpen] = useState(false);
  const { data: items, error } = useRemoved({ kind }, isOpen);
  const notices = useNotices();
  const { done } = removingOf(kind);
  async function putBack(id: string, name: string) {
    try {
      await docActs({ kind }).restore(id);
      notices.tell(say('common.restored', { name }));
    } catch (failure) {
      notices.tell(explain(failure));
    }
  }
  return (
    <Box marginTop="18px" data-noprint>
      <Button
        variant="ghost"
        minHeight="44px"
        marginLeft="-12px"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        {done} {manyOf(kind.name)}
      </Button>
      {isOpen && error && <Box role="alert">{explain(error)}</Box>}
      {isOpen && items?.length === 0 && <Box fontSize="16px">{say('common.none')}</Box>}
      {isOpen && items && items.length > 0 && (
        <chakra.ul aria-label={`${done} ${manyOf(kind.name)}`} listStyleType="none" maxWidth="760px">
          {items.map(({ id, name, isSample, removedAt }) => (
            <chakra.li
              key={id}
              display="flex"
              alignItems="center"
              gap="12px"
              minHeight="48px"
              borderTopWidth="1px"
              borderColor="line"
            >
              <chakra.span flex={1} overflowWrap="anywhere">
                {name} {isSample && <SampleBadge />}
              </chakra.span>
              <chakra.span fontSize="15px" color="ink.soft">
                {dayText(removedAt.slice(0, 10))}
              </chakra.span>
              <Button
                size="sm"
                minHeight="44px"
                aria-label={say('common.restoreNamed', { name })}
                onClick={() => void putBack(id, name)}
              >
                {say('common.restore')}
              </Button>
            </chakra.li>
          ))}
        </chakra.ul>
      )}
    </Box>
  );
}

import { Box, Button, chakra } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/bench';
import type { DocumentStatus } from '../../documents/useDocument.ts';
import type { LiveState } from './useLiveDocument.ts';

const WORDS: Readonly<Record<Exclude<DocumentStatus, 'refused'>, string>> = {
  new: say('testRun.saved.here'),
  draft: say('testRun.saved.here'),
  'on-device': say('testRun.saved.here'),
  saved: say('testRun.saved.done'),
};

/** How far what is typed has got. */
export function KeptNote({ status, refusal, takeTheirs, saveMine }: LiveState) {
  if (takeTheirs && saveMine)
    return (
      <Box role="alert" color="warn" fontWeight="semibold">
        {say('testRun.saved.conflict')}{' '}
        <Button size="sm" minHeight="44px" onClick={() => void takeTheirs()}>
          {say('common.showTheirs')}
        </Button>{' '}
        <Button size="sm" minHeight="44px" onClick={() => void saveMine()}>
          {say('common.keepMine')}
        </Button>
      </Box>
    );
  if (status === 'refused')
    return (
      <Box role="alert" color="warn" fontWeight="semibold">
        {say('testRun.saved.refused', { why: refusal?.words ?? '' })}
      </Box>
    );
  return (
    <chakra.span role="status" fontSize="15px" color="ink.soft">
      {WORDS[status]}
    </chakra.span>
  );
}

import { Box, Button, chakra } from '@chakra-ui/react';
import type { DocumentStatus } from '../../documents/useDocument.ts';
import type { LiveState } from './useLiveDocument.ts';

const WORDS: Readonly<Record<Exclude<DocumentStatus, 'refused'>, string>> = {
  new: 'saved on this device',
  draft: 'saved on this device',
  'on-device': 'saved on this device',
  saved: 'kept',
};

/** How far what is typed has got. */
export function KeptNote({ status, refusal, takeTheirs, saveMine }: LiveState) {
  if (takeTheirs && saveMine)
    return (
      <Box role="alert" color="warn" fontWeight="semibold">
        ▲ Another device went on with this.{' '}
        <Button size="sm" minHeight="44px" onClick={() => void takeTheirs()}>
          Show their version
        </Button>{' '}
        <Button size="sm" minHeight="44px" onClick={() => void saveMine()}>
          Keep my version
        </Button>
      </Box>
    );
  if (status === 'refused')
    return (
      <Box role="alert" color="warn" fontWeight="semibold">
        ▲ Not kept yet: {refusal?.words}
      </Box>
    );
  return (
    <chakra.span role="status" fontSize="15px" color="ink.soft">
      {WORDS[status]}
    </chakra.span>
  );
}

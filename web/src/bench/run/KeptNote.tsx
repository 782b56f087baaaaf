import { Box, Button, chakra } from '@chakra-ui/react';
import type { Kept } from './useLiveDoc.ts';

const WORDS = { kept: 'kept', keeping: 'keeping …', held: 'held in this browser until the server answers' };

/** How far what is typed has got. */
export function KeptNote({ state, onTheirs, onMine }: { state: Kept; onTheirs(): void; onMine(): void }) {
  if (state === 'elsewhere')
    return (
      <Box role="alert" color="warn" fontWeight="semibold">
        ▲ Another device went on with this.{' '}
        <Button size="sm" minHeight="44px" onClick={onTheirs}>
          Take theirs
        </Button>{' '}
        <Button size="sm" minHeight="44px" onClick={onMine}>
          Keep mine
        </Button>
      </Box>
    );
  if (typeof state === 'object')
    return (
      <Box role="alert" color="warn" fontWeight="semibold">
        ▲ Not kept yet: {state.refused}
      </Box>
    );
  return (
    <chakra.span role="status" fontSize="15px" color="ink.soft">
      {WORDS[state]}
    </chakra.span>
  );
}

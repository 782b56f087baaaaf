import { Box } from '@chakra-ui/react';
import { useSyncExternalStore } from 'react';
import { say } from '@steady-scatter/words/common';
import { connectionStore } from '../api/connection.ts';

/** Says that a list is not all there is. */
export function PartialNote() {
  const { reachable } = useSyncExternalStore(connectionStore.subscribe, connectionStore.get);
  if (reachable) return null;
  return (
    <Box role="note" color="ink.soft" marginBottom="10px">
      {say('common.partial')}
    </Box>
  );
}

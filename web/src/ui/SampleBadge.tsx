import { Badge } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/common';

/** Marks what belongs to the made-up town. */
export const SampleBadge = () => (
  <Badge bg="soft" color="ink" fontSize="13px">
    {say('common.sample')}
  </Badge>
);

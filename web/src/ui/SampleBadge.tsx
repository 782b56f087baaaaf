import { Badge } from '@chakra-ui/react';

/** Marks what belongs to the made-up town. */
export const SampleBadge = () => (
  <Badge bg="soft" color="ink" fontSize="13px">
    sample
  </Badge>
);

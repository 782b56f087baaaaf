import { Box, type BoxProps } from '@chakra-ui/react';

/** What has to be looked at before going on: framed, and said to people who listen. */
export const WarningBox = (props: BoxProps) => (
  <Box role="alert" borderWidth="2px" borderColor="warn" borderRadius="8px" padding="12px" {...props} />
);

/** What can be done about it, side by side. */
export const WarningActs = (props: BoxProps) => (
  <Box display="flex" flexWrap="wrap" gap="8px" marginTop="8px" {...props} />
);

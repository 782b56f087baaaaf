import { Box } from '@chakra-ui/react';
import type { ComponentProps } from 'react';

type Props = ComponentProps<typeof Box> & { label: string };

/** What may be wider than its place: it is scrolled sideways by itself, by keys too, and the page is not. */
export const SideScroll = ({ label, ...rest }: Props) => (
  <Box role="group" aria-label={label} position="relative" overflowX="auto" tabIndex={0} {...rest} />
);

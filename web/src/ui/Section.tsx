import { Box, chakra, useRecipe } from '@chakra-ui/react';
import type { ReactNode } from 'react';

type Props = {
  id?: string;
  heading: string;
  children: ReactNode;
  onEnter?: () => void;
  /** Holds nothing that is worth its paper. */
  noPrint?: boolean;
};

/** A part of a sheet under a small heading. `id` is where the tape's stop leads. */
export function Section({ id, heading, children, onEnter, noPrint = false }: Props) {
  const recipe = useRecipe({ key: 'sectionHeading' });
  return (
    <Box
      as="section"
      id={id}
      aria-label={heading}
      marginBottom={{ base: '28px', _print: '9px' }}
      onFocus={onEnter}
      data-noprint={noPrint ? '' : undefined}
      scrollMarginTop="130px"
    >
      <chakra.h2 css={recipe()} marginBottom="6px">
        {heading}
      </chakra.h2>
      {children}
    </Box>
  );
}

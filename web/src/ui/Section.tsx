import { Box, chakra, useRecipe } from '@chakra-ui/react';
import type { ReactNode } from 'react';

type Props = { id?: string; heading: string; children: ReactNode; onEnter?: () => void };

/** A part of a sheet under a small heading. `id` is where the tape's stop leads. */
export function Section({ id, heading, children, onEnter }: Props) {
  const recipe = useRecipe({ key: 'sectionHeading' });
  return (
    <Box
      as="section"
      id={id}
      aria-label={heading}
      marginBottom="28px"
      onFocus={onEnter}
      scrollMarginTop="130px"
    >
      <chakra.h2 css={recipe()} marginBottom="6px">
        {heading}
      </chakra.h2>
      {children}
    </Box>
  );
}

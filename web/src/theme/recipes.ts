import { defineRecipe } from '@chakra-ui/react';

/** Buttons: `solid` for the one main act of a screen, `outline` beside it, `ghost` inside text and tables. */
export const button = defineRecipe({
  base: { fontWeight: 'bold', borderRadius: '8px', cursor: 'pointer', fontSize: '15px' },
  variants: {
    variant: {
      solid: { bg: 'act', color: 'act.ink', _hover: { bg: 'act.strong' } },
      outline: {
        bg: 'paper',
        color: 'ink',
        fontWeight: 'medium',
        borderWidth: '1px',
        borderColor: 'line.strong',
        _hover: { bg: 'soft' },
      },
      ghost: { bg: 'transparent', color: 'act', fontWeight: 'bold', _hover: { bg: 'soft' } },
    },
  },
  defaultVariants: { variant: 'outline' },
});

/** Headings of the sections of a sheet. */
export const sectionHeading = defineRecipe({
  base: { fontSize: '15px', fontWeight: 'semibold', color: 'ink.soft', lineHeight: 1.4 },
});

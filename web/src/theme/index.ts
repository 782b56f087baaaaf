// Theme: semantic tokens for day and night, type, and the few recipes that are ours.
// Everything with a colour, a font or a focus ring gets it from here.
import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react';
import { button, sectionHeading } from './recipes.ts';
import { fonts, semanticColors } from './tokens.ts';

const config = defineConfig({
  globalCss: {
    'html, body': { bg: 'ground', color: 'ink', fontFamily: 'body', fontSize: '16px', lineHeight: 1.4 },
    '*:focus-visible': { outline: '3px solid', outlineColor: 'water', outlineOffset: '2px' },
    '*, *::before, *::after': {
      '@media (prefers-reduced-motion: reduce)': {
        animationDuration: '0.01ms !important',
        // Not a moment but none: each level of what inherits a color would take one of its own.
        transitionDuration: '0s !important',
      },
    },
    '@page': { margin: '14mm' },
    '[data-noprint]': { '@media print': { display: 'none !important' } },
  },
  theme: {
    tokens: { fonts },
    semanticTokens: { colors: semanticColors },
    recipes: { button, sectionHeading },
  },
});

export const system = createSystem(defaultConfig, config);

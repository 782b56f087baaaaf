// Theme: semantic tokens for day and night, type, and a recipe for each part of the library that is used.
// Everything with a colour, a font or a focus ring gets it from here. The library's own tokens and recipes are left out: they weigh more
// than all of this app's screens, and are made ready at each start.
import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import { recipes, slotRecipes } from './recipes.ts';
import { fonts, fontWeights, semanticColors, shadows, sizes } from './tokens.ts';

const config = defineConfig({
  preflight: true,
  cssVarsPrefix: 'chakra',
  globalCss: {
    '*': { '--global-font-body': 'fonts.body', '--global-color-border': 'colors.line' },
    '*::placeholder': { color: 'ink.soft', opacity: 0.85 },
    'html, body': { bg: 'ground', color: 'ink', fontFamily: 'body', fontSize: '16px', lineHeight: 1.4 },
    // What gets the focus comes out from under the bars that stand at the foot of a small screen.
    html: { scrollPaddingBottom: { base: '136px', md: '60px', lg: 0 } },
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
    breakpoints: { sm: '480px', md: '768px', lg: '1024px', xl: '1280px' },
    keyframes: { spin: { '100%': { transform: 'rotate(360deg)' } } },
    tokens: { fonts, fontWeights, shadows },
    semanticTokens: { colors: semanticColors, sizes },
    recipes,
    slotRecipes,
  },
});

export const system = createSystem(defaultBaseConfig, config);

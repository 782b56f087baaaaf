/** Colours by role: day, night. Components name roles, never colours. */
export const ROLES = {
  ink: ['#14201c', '#e9efe9'],
  'ink.soft': ['#46554f', '#a9b7b0'],
  line: ['#cfd6d2', '#2d3a35'],
  'line.strong': ['#7b8a83', '#71827a'],
  ground: ['#f3f5f3', '#0c1210'],
  paper: ['#ffffff', '#141c19'],
  soft: ['#e6efeb', '#1a2622'],
  act: ['#0d5c4d', '#5cc7a9'],
  'act.strong': ['#083c33', '#8fe0c8'],
  'act.ink': ['#ffffff', '#06231b'],
  rail: ['#083c33', '#060a08'],
  'rail.ink': ['#dcebe5', '#c9d8d1'],
  tape: ['#f6c83b', '#b98d14'],
  'tape.ink': ['#1d1a06', '#0f0d02'],
  'tape.on.rail': ['#f6c83b', '#d9ab2b'],
  water: ['#1f6f9f', '#7fc3ea'],
  warn: ['#a33a0a', '#ff9c66'],
  fine: ['#2f7a3a', '#84cf8d'],
} as const;

type Role = { _light: { value: string }; _dark: { value: string } };

/** 'ink.soft' -> { ink: { soft: … } }, with DEFAULT for the plain role. */
function nest(): Record<string, Record<string, Role>> {
  const nested: Record<string, Record<string, Role>> = {};
  for (const [name, [day, night]] of Object.entries(ROLES)) {
    const [first = name, ...rest] = name.split('.');
    const key = rest.length === 0 ? 'DEFAULT' : rest.join('-');
    nested[first] = { ...nested[first], [key]: { value: { _light: day, _dark: night } } as unknown as Role };
  }
  return nested;
}

export const semanticColors = nest();

export const fonts = {
  heading: { value: '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif' },
  body: { value: '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif' },
  figure: { value: '"Archivo Variable", "Atkinson Hyperlegible Next Variable", sans-serif' },
};

export const fontWeights = {
  normal: { value: '400' },
  medium: { value: '500' },
  semibold: { value: '600' },
  bold: { value: '700' },
};

/** Under what stands over the screen. */
export const shadows = { over: { value: '0 8px 24px rgba(0, 0, 0, 0.25)' } };

/** What is pressed with a glove in the field, and with a mouse at a desk. */
export const sizes = { touch: { value: { base: '56px', md: '44px' } } };

import { expect, it } from 'vitest';
import { splitFilter } from './index.ts';

it.each([
  ['rig:a', { column: 'rig', operator: ':', text: 'a' }],
  ['totalM2>=100', { column: 'totalM2', operator: '>=', text: '100' }],
  ['onDay<=2026-04-18', { column: 'onDay', operator: '<=', text: '2026-04-18' }],
  ['uses:a,b', { column: 'uses', operator: ':', text: 'a,b' }],
  [
    'need:0.8 lb N: on each\n1000 ft²',
    { column: 'need', operator: ':', text: '0.8 lb N: on each\n1000 ft²' },
  ],
  ['no filter at all', { column: '', operator: ':', text: '' }],
])('%s is read in its parts', (filter, parts) => {
  expect(splitFilter(filter)).toEqual(parts);
});

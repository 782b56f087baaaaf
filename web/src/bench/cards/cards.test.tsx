import type { Card } from '@steady-scatter/core/testing';
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { inApp } from '../../testing/inApp.tsx';
import { printedPapers } from '../../testing/out.ts';
import { CardFace } from './CardFace.tsx';
import { cardsPdf } from './cardPdf.ts';

const GUN: Card = {
  machine: 'Hose reel gun',
  product: ['Pond green 10-0-0'],
  setting: 'as it is',
  control: '',
  rate: '2.0',
  band: '0.2',
  lines: [],
  rateUnit: 'gal / 1000 ft²',
  pace: '125 ft in 30 s',
  spacing: '8 ft between passes',
  second: '',
  state: 'clean water',
  signed: '4 May 2026, M. Orr',
  purpose: '',
};
const DROP: Card = {
  ...GUN,
  machine: 'Drop spreader',
  setting: '11',
  control: 'gate',
  lines: [
    { setting: '10.5', rate: '2.89', isKept: false },
    { setting: '11', rate: '3.24', isKept: true },
  ],
};

describe('a card', () => {
  it('has its marks, and says from which side to come to them', () => {
    inApp(<CardFace card={DROP} link="https://shed.test/bench/1" />);
    expect(screen.getByRole('row', { name: /11 3.24/ })).toBeTruthy();
    expect(screen.getByText(/from the closed side/)).toBeTruthy();
  });

  it('of what sprays as it is has neither', () => {
    inApp(<CardFace card={GUN} link="https://shed.test/bench/1" />);
    expect(screen.getByRole('article', { name: /Hose reel gun/ }).textContent).toContain(
      '2.0 ±0.2 gal / 1000 ft²',
    );
    expect(screen.queryByRole('table')).toBeNull();
    expect(screen.queryByText(/from the closed side/)).toBeNull();
  });

  it('is printed without a table where it has no marks: one without rows cannot be drawn', async () => {
    const both = [{ card: GUN, link: 'x' }, { card: DROP, link: 'y' }]; // prettier-ignore
    await Promise.all((['a6', 'letter'] as const).map((size) => cardsPdf(both, size)));
    for (const document of printedPapers()) {
      expect(document).toContain('> 11');
      expect(document).not.toContain('"body":[]');
      expect(document.match(/from the closed side/g)).toHaveLength(1);
    }
    expect(printedPapers()).toHaveLength(2);
  });
});

import { MAX_AREAS } from '@steady-scatter/core/worksheet';
import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { keepDemo, onSheet, plainSheet } from '../testing/inApp.tsx';
import { GroundSection } from './GroundSection.tsx';

beforeEach(() => keepDemo());
type Areas = ReturnType<typeof plainSheet>['worksheet']['areas'];
const LAWN = { id: 'a', name: 'Lawn', size: '7400', unit: 'ft2' } as const;
const BANK = { id: 'b', name: 'Bank', size: '50 x 20 ft', unit: 'ft2' } as const;
const open = (areas: Areas) =>
  onSheet(
    <section id="ground">
      <GroundSection onEnter={() => undefined} />
    </section>,
    plainSheet({ areas }),
  );
const table = () => (screen.getByRole('table', { name: 'Areas' }).textContent ?? '').replace(/\s+/g, ' ');

describe('areas of a sheet', () => {
  it('each has its size and its amount; a new one takes the unit of the one before, and the focus', async () => {
    const { person, worksheet } = open([{ ...LAWN, size: '70', unit: 'm2' }]);
    expect(table()).toContain('2.51 lb');
    await person.click(screen.getByRole('button', { name: 'Add area' }));
    expect(worksheet().areas.at(-1)).toMatchObject({ name: '', size: '', unit: 'm2' });
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Name of area 2')));
  });

  it('one that is removed comes back to its place; an empty one goes without a word', async () => {
    const { person, worksheet } = open([LAWN, BANK, { id: 'c', name: '', size: '', unit: 'ft2' }]);
    await person.click(screen.getByRole('button', { name: 'Remove Area 3' }));
    expect(screen.queryByText(/^Removed/)).toBeNull();
    await person.click(screen.getByRole('button', { name: 'Remove Lawn' }));
    expect(worksheet().areas.map(({ name }) => name)).toEqual(['Bank']);
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Name of area 1')));
    expect(await screen.findByText('Removed Lawn.')).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Undo' }));
    expect(worksheet().areas.map(({ name }) => name)).toEqual(['Lawn', 'Bank']);
  });

  it('a full sheet says where the others go', () => {
    open(
      Array.from({ length: MAX_AREAS }, (_, index) => ({
        ...LAWN,
        id: String(index),
        name: `Area ${index}`,
      })),
    );
    expect(screen.getByText(`A sheet holds ${MAX_AREAS} areas: put the others on another job.`)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add area' }).disabled).toBe(true);
  });
});

describe('an area that was chosen from a site', () => {
  const site = demo.sites[0]!;
  const area = site.input.areas[0]!;
  const chosen = (size: string): Areas => [
    { id: 'a', name: area.name, size, unit: 'ft2', from: { site: site.id, area: area.id } },
  ];

  it('says where it comes from, and what it measures by now; that is taken, and taken back', async () => {
    const { person, worksheet } = open(chosen('100 ft2'));
    expect(await screen.findByRole('link', { name: site.input.name })).toBeTruthy();
    expect(screen.getByText(/▲ measured again since: 2\s867 ft²/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Update' }));
    expect(worksheet().areas[0]?.size).toMatch(/^2\s867 ft²/);
    expect(screen.queryByText(/measured again since/)).toBeNull();
    await person.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(worksheet().areas[0]?.size).toBe('100 ft2');
  });
});

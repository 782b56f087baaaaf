import { blankSiteArea, evaluateRows, type SiteAreaInput } from '@steady-scatter/core/ground';
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { fieldsOfPart } from '../documents/fields.ts';
import { inApp } from '../testing/inApp.tsx';
import { RowsSection } from './RowsSection.tsx';

const noError = () => undefined;

function Rows({ start }: { start: SiteAreaInput }) {
  const [area, setArea] = useState(start);
  return (
    <RowsSection
      area={area}
      rows={evaluateRows(area.rows, 1000, 'rows')}
      errorAt={noError}
      onChange={setArea}
      {...fieldsOfPart(area, setArea, noError)}
    />
  );
}
const text = () => (screen.getByRole('region', { name: 'Rows' }).textContent ?? '').replace(/\s+/g, ' ');

it('is not asked where nothing stands in rows', () => {
  inApp(<Rows start={blankSiteArea('a', 'metric')} />);
  expect(screen.queryByRole('region', { name: 'Rows' })).toBeNull();
});

it('tells the row length in each way that is known, and which of them counts', async () => {
  const person = inApp(<Rows start={{ ...blankSiteArea('a', 'metric'), surface: 'row-crop' }} />);
  await person.type(screen.getByLabelText('Row spacing'), '2 m');
  expect(text()).toMatch(/500 m ?of row, by area ÷ row spacing$/);
  await person.type(screen.getByLabelText('Number of rows'), '10');
  await person.type(screen.getByLabelText('Length of a row'), '48 m');
  expect(text()).toMatch(/480 m ?of row, by counted rows; this one counts/);
  expect(text()).toMatch(/500 m ?of row, by area ÷ row spacing$/);
});

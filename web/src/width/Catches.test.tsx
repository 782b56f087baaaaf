import { blankWidthTest, evaluateWidthTest, type WidthTestInput } from '@steady-scatter/core/width';
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { beforeEach, expect, it } from 'vitest';
import { formProps } from '../testing/formProps.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { Catches } from './Catches.tsx';

beforeEach(() => keepDemo());

const START: WidthTestInput = {
  ...blankWidthTest('us'),
  layout: { count: '5', spacing: '1', gap: '', positions: '', unit: 'm' },
};
/** What was worked out of the trays lags behind: it is that of the layout before. */
const LATE = evaluateWidthTest({ ...START, layout: { ...START.layout, unit: 'ft' } });

function Page({ onChange }: { onChange(input: WidthTestInput): void }) {
  const [input, set] = useState(START);
  const change = (next: WidthTestInput) => {
    set(next);
    onChange(next);
  };
  return <Catches {...formProps(input, change)} reading={LATE} />;
}

it('asks for the trays as they stand now, whatever is still being worked out, and keeps each catch', async () => {
  let input = START;
  const person = inApp(<Page onChange={(next) => (input = next)} />);
  const fields = screen.getAllByRole('textbox');
  expect(fields.map((field) => field.getAttribute('aria-label'))).toEqual(['Tray 1 at −2 m', 'Tray 2 at −1 m', 'Tray 3 at 0 m', 'Tray 4 at 1 m', 'Tray 5 at 2 m']); // prettier-ignore
  await person.click(fields[0]!);
  await person.keyboard('1{Tab}2.5{Tab}4{Tab}2.4{Tab}1');
  expect(input.rows).toEqual([['1', '2.5', '4', '2.4', '1']]);
  expect(screen.getAllByRole('textbox')).toEqual(fields);
});

it('what is missing and how the rows differ are two sentences', () => {
  const input = {
    ...START,
    rows: [
      ['1', '2.5', '4', '', '1'],
      ['1.2', '2.4', '4.1', '', '1'],
    ],
  };
  inApp(<Catches {...formProps(input, () => undefined)} reading={evaluateWidthTest(input)} />);
  expect(screen.getByText(/missing, put in straight/).textContent).toMatch(/\(dashed\)\. 2 rows, averaged; .* from row to row\.$/); // prettier-ignore
});

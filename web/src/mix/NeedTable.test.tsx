import { blankMix, type MixInput } from '@steady-scatter/core/mix';
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { inApp } from '../testing/inApp.tsx';
import { NeedTable } from './NeedTable.tsx';

function open(more: Partial<MixInput> = {}) {
  const held: { input: MixInput } = { input: { ...blankMix('kg/ha', 'ha'), ...more } };
  function Page() {
    const [input, set] = useState(held.input);
    const change = (needs: MixInput['needs']) => {
      held.input = { ...input, needs };
      set(held.input);
    };
    return <NeedTable input={input} errorAt={() => undefined} onChange={change} />;
  }
  return { person: inApp(<Page />), input: () => held.input };
}

it('asks for each nutrient what is needed and what is the most; what was given before matters to rules alone', () => {
  open();
  expect(screen.getByRole('columnheader', { name: 'Need, kg / ha' })).toBeTruthy();
  expect(screen.getByLabelText('Need of nitrogen')).toBeTruthy();
  expect(screen.queryByRole('columnheader', { name: 'Already this year' })).toBeNull();
});

it('by rules it asks for what was given this year too', () => {
  open({ ruleSetId: 'town' });
  expect(screen.getByRole('columnheader', { name: 'Already this year' })).toBeTruthy();
  expect(screen.getByLabelText('Already this year: nitrogen')).toBeTruthy();
});

it('of what is typed as 0 none is wanted, unless what comes is taken', async () => {
  const { person, input } = open();
  expect(screen.queryByLabelText('take what comes')).toBeNull();
  await person.type(screen.getByLabelText('Need of phosphate'), '0');
  await person.click(screen.getByLabelText('take what comes'));
  expect(input().needs.P2O5).toMatchObject({ amount: '0', waived: true });
  await person.type(screen.getByLabelText('Need of phosphate'), '5');
  expect(screen.queryByLabelText('take what comes')).toBeNull();
});

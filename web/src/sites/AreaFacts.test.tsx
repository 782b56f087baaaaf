import {
  blankSiteArea,
  blankPace,
  blankSite,
  evaluatePaces,
  evaluateSite,
  type SiteInput,
} from '@steady-scatter/core/ground';
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { fieldsOfPart } from '../documents/fields.ts';
import { inApp } from '../testing/inApp.tsx';
import { AreaFacts } from './AreaFacts.tsx';
import { SiteFacts } from './SiteFacts.tsx';

const noError = () => undefined;

function Area() {
  const [area, setArea] = useState(blankSiteArea('a', 'us'));
  const paces = evaluatePaces(blankPace('ft'), 'pace');
  return (
    <AreaFacts
      area={area}
      paces={paces}
      errorAt={noError}
      onChange={setArea}
      {...fieldsOfPart(area, setArea, noError)}
    />
  );
}

function Site({ start }: { start: SiteInput }) {
  const [input, setInput] = useState(start);
  return (
    <SiteFacts
      {...fieldsOfPart(input, setInput, noError)}
      errorAt={noError}
      input={input}
      reading={evaluateSite(input)}
    />
  );
}

it('a new area states what is taken of it in lines, with no field open', () => {
  inApp(<Area />);
  expect(screen.getByText('Turf, level')).toBeTruthy();
  expect(screen.getByText('Treated')).toBeTruthy();
  expect(screen.getByText('Parts are added up; size in ft²')).toBeTruthy();
  expect(screen.getByText('No notes on this area')).toBeTruthy();
  expect(screen.queryByRole('combobox')).toBeNull();
});

it('each line says its new value', async () => {
  const person = inApp(<Area />);
  await person.click(screen.getByRole('button', { name: 'Change surface and slope' }));
  await person.selectOptions(screen.getByLabelText('Slope'), 'steep');
  expect(screen.getByText('Turf, steep, over 10 %')).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Change treatment' }));
  await person.selectOptions(screen.getByLabelText('Treated'), 'no');
  expect(screen.getByText('Not treated: left out of the total')).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Change parts and unit' }));
  await person.selectOptions(screen.getByLabelText('Parts'), 'placed');
  await person.selectOptions(screen.getByLabelText('Size shown in'), 'acre');
  expect(screen.getByText('Parts are placed on a plan; size in acre')).toBeTruthy();
});

it('a pace is measured in place, and stated once it is known', async () => {
  const person = inApp(<Site start={blankSite('a', 'us')} />);
  await person.click(screen.getByRole('button', { name: 'Change pace and wheel' }));
  expect(screen.getByText('Your pace is not measured')).toBeTruthy();
  await person.type(screen.getByLabelText('A line of known length'), '100 ft');
  await person.type(screen.getByLabelText('Paces on walk 1'), '40');
  expect(screen.getByText(/^Your pace is 2\.50? ft, from a single walk$/)).toBeTruthy();
  expect(screen.getByText(/Three walks tell how steady it is/)).toBeTruthy();
});

import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { nozzles } from '@steady-scatter/contract';
import {
  blankNozzle,
  blankRig,
  evaluateRig,
  type NozzleInput,
  type RigInput,
} from '@steady-scatter/core/machines';
import { screen, within } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { beforeEach, expect, it } from 'vitest';
import { RigForm } from '../rigs/RigForm.tsx';
import { formProps } from '../testing/formProps.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { NozzleForm } from './NozzlePage.tsx';
import NozzlesPage from './NozzlesPage.tsx';

beforeEach(() => keepDemo());

const nobody = () => undefined;
/** Notes what is typed by then. */
const seen =
  <Input,>(held: { input?: Input }) =>
  (input: Input) =>
    void (held.input = input);

function Form({ start, onInput }: { start: NozzleInput; onInput(input: NozzleInput): void }) {
  const [input, set] = useState(start);
  useEffect(() => onInput(input), [onInput, input]);
  return <NozzleForm {...formProps(input, set, () => undefined)} />;
}

it('a nozzle is its rated flow at a pressure, and the pressures that it is made for', async () => {
  const held: { input?: NozzleInput } = {};
  const person = inApp(<Form start={blankNozzle('us')} onInput={seen(held)} />);
  await person.type(screen.getByLabelText('Rated flow'), '0.42');
  await person.type(screen.getByLabelText('At pressure'), '40');
  await person.type(screen.getByLabelText('Highest pressure'), '60');
  expect(held.input).toMatchObject({ flow: { text: '0.42', unit: 'gal/min' }, at: { text: '40', unit: 'psi' }, high: '60' }); // prettier-ignore
  expect(nozzles.evaluate(held.input!).rated!.flowLPerS).toBeCloseTo(0.0264979, 6);
});

it('the table stands with flow and range, the way one reads them', () => {
  inApp(<NozzlesPage />, '/bench/nozzles');
  const row = screen.getByRole('row', { name: /Boom fan, medium/ });
  expect(row.textContent).toContain('0.42 gal / min at 40 psi');
  expect(row.textContent).toContain('20 to 60 psi');
});

function Rig({ start, onInput = nobody }: { start: RigInput; onInput?(input: RigInput): void }) {
  const [input, set] = useState(start);
  useEffect(() => onInput(input), [onInput, input]);
  return <RigForm {...formProps(input, set, () => undefined)} isNew={false} />;
}
const boom = (more: Partial<RigInput> = {}): RigInput => ({ ...blankRig('us'), name: 'Boom', kind: 'boom', ...more }); // prettier-ignore
const change = (person: ReturnType<typeof inApp>, what: string) => person.click(screen.getByRole('button', { name: `Change ${what}` })); // prettier-ignore

it('a boom asks for its tank and its nozzles, and takes one from the table', async () => {
  const held: { input?: RigInput } = {};
  const person = inApp(<Rig start={boom()} onInput={seen(held)} />);
  await person.type(screen.getByLabelText('Tank holds'), '50');
  await person.type(screen.getByLabelText('Nozzles'), '8');
  await person.type(screen.getByLabelText('Nozzle spacing'), '20');
  expect(screen.getByText('Spray width is 13.3 ft, nozzles times their spacing')).toBeTruthy();
  await change(person, 'nozzle');
  await person.selectOptions(screen.getByLabelText('From your table'), 'Boom fan, medium');
  expect(screen.getByText('Nozzle: Boom fan, medium, 0.42 gal / min at 40 psi')).toBeTruthy();
  await change(person, 'spray width');
  await person.type(screen.getByLabelText('Width on concrete'), '14');
  expect(screen.getByText(/^Spray width is 13\.3 ft/)).toBeTruthy();
  await person.type(screen.getByLabelText('Width on grass'), '12.5');
  expect(screen.getByText('Spray width is 12.5 ft, measured on grass')).toBeTruthy();
  expect(evaluateRig(held.input!).spray).toMatchObject({ count: 8, widthFrom: 'grass' });
});

it('a gun has one nozzle and no gate; a speed control has marks of its own', async () => {
  const held: { input?: RigInput } = {};
  const person = inApp(<Rig start={boom({ kind: 'hand-gun' })} onInput={seen(held)} />);
  expect(screen.queryByLabelText('Nozzle spacing')).toBeNull();
  expect(screen.queryByLabelText('Hopper holds')).toBeNull();
  await change(person, 'speed control');
  await person.type(screen.getByLabelText('Speed marks'), '1 to 5');
  expect(held.input!.control).toMatchObject({ from: '1', to: '5' });
});

it('what is looked at before names brush and water, never wire', async () => {
  const person = inApp(<Rig start={boom()} />);
  await change(person, 'checks');
  expect(within(screen.getByRole('region', { name: 'Assumed' })).getByText(/soft brush and water, never with wire/)).toBeTruthy(); // prettier-ignore
});

it('more nozzles than any boom has are refused', () => {
  const { errors } = evaluateRig(boom({ spray: { ...blankRig('us').spray, count: '300' } }));
  expect(errors.map(({ code, field }) => [code, field])).toEqual([['count.whole', 'spray.count']]);
  expect(demo.rigs.every(({ input }) => evaluateRig(input as unknown as RigInput).errors.length === 0)).toBe(true); // prettier-ignore
});

import demo from '../../../../demo/tarn-hollow.json' with { type: 'json' };
import { guides } from '@steady-scatter/contract';
import { blankGuide, type GuideInput } from '@steady-scatter/core/winter';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { formProps } from '../../testing/formProps.ts';
import { inApp, keepDemo } from '../../testing/inApp.tsx';
import { savedFiles } from '../../testing/out.ts';
import { GuideForm } from './GuideForm.tsx';
import GuidesPage from './GuidesPage.tsx';

beforeEach(() => {
  keepDemo();
});

const TOWN = demo.guides[0]!.input as unknown as GuideInput;
const LANES = demo.guides[1]!.input as unknown as GuideInput;

function Form({ start, onInput }: { start: GuideInput; onInput(input: GuideInput): void }) {
  const [input, set] = useState(start);
  useEffect(() => onInput(input), [onInput, input]);
  const { errors } = guides.evaluate(input);
  return <GuideForm {...formProps(input, set, (field) => errors.find((error) => error.field === field))} />;
}
/** Shows a guide; what is typed of it by then. */
function open(start: GuideInput) {
  const held: { input: GuideInput } = { input: start };
  const onInput = (input: GuideInput) => void (held.input = input);
  const person = inApp(<Form start={start} onInput={onInput} />);
  return { person, held };
}
const ruler = (name: string) => screen.getByRole('button', { name: new RegExp(`^Change line: ${name}`) });

describe('a rate guide', () => {
  it('is listed with its last version', () => {
    inApp(<GuidesPage />, '/winter/guides');
    expect(screen.getByRole('row', { name: /Town winter guide/ }).textContent).toContain('1 Nov 2026');
  });

  it('is drawn along the temperature; a band leads to its line', async () => {
    const { person, held } = open(TOWN);
    expect(ruler('Frost, after, dry, 2–3').textContent).toBe('2–3');
    await person.click(ruler('Frost, after, dry, 2–3'));
    const line = screen
      .getByRole('button', { name: /^Done with Frost, after, dry, 23 to 28/ })
      .closest('li')!;
    await person.clear(within(line).getByLabelText('High rate'));
    await person.type(within(line).getByLabelText('High rate'), '3.5');
    expect(held.input.versions[0]!.lines.find(({ low, cold, situation }) => low === '2' && cold === '23' && situation === 'Frost')?.high).toBe('3.5'); // prettier-ignore
    expect(ruler('Frost, after, dry, 2–3.5')).toBeTruthy();
  });

  it('says where it says nothing, and where it says two things', async () => {
    const { person } = open(LANES);
    expect(screen.getByText(/Light snow, dry: no rate from 25 to 26 °F\. Add a line/)).toBeTruthy();
    await person.click(ruler('Light snow, dry, 200–300'));
    const warm = screen.getByLabelText('Warmest pavement');
    await person.clear(warm);
    await person.type(warm, '28');
    expect(screen.getByText(/Light snow, dry: two rates from 26 to 28 °F/)).toBeTruthy();
  });

  it('on lanes asks for the lane width while it has none', async () => {
    const { person, held } = open({ ...LANES, lane: { text: '', unit: 'ft' } });
    await person.type(screen.getByLabelText('Lane width'), '12');
    expect(held.input.lane.text).toBe('12');
    expect(guides.evaluate(held.input).errors).toEqual([]);
  });

  it('a line is taken out, and another one begins with the situation of the last', async () => {
    const { person, held } = open(LANES);
    const before = held.input.versions[0]!.lines;
    await person.click(screen.getAllByRole('button', { name: /^Change / })[1]!);
    const gone = screen
      .getByRole('button', { name: /^Done with / })
      .closest('li')!
      .id.replace('line-', '');
    await person.click(screen.getByRole('button', { name: 'Delete line' }));
    expect(held.input.versions[0]!.lines.map(({ id }) => id)).toEqual(before.map(({ id }) => id).filter((id) => id !== gone)); // prettier-ignore
    await person.click(screen.getByRole('button', { name: 'Add line' }));
    expect(held.input.versions[0]!.lines).toHaveLength(before.length);
    expect(held.input.versions[0]!.lines.at(-1)).toMatchObject({ situation: before.at(-1)!.situation, low: '', cold: '' }); // prettier-ignore
  });

  it('a new version begins as a copy, and the one before stays', async () => {
    const { person, held } = open(TOWN);
    await person.click(screen.getByRole('button', { name: 'Start new version' }));
    const [next, before] = held.input.versions;
    expect(held.input.versions).toHaveLength(3);
    expect(next!.lines.map(({ low }) => low)).toEqual(before!.lines.map(({ low }) => low));
    expect(next!.lines[0]!.id).not.toBe(before!.lines[0]!.id);
    await person.selectOptions(screen.getByLabelText('Version'), 'from 1 Nov 2025');
    expect(ruler('Frost, after, dry, 3–4.5')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Valid from').value).toBe('2025-11-01');
  });

  it('a new one is entered line by line', async () => {
    const { person, held } = open(blankGuide('us', ['v', 'a'], '2026-11-01'));
    expect(screen.getByText(/the guide is drawn here/)).toBeTruthy();
    await person.type(screen.getByLabelText('Situation'), 'Frost');
    await person.type(screen.getByLabelText('Coldest pavement'), '23');
    await person.type(screen.getByLabelText('Warmest pavement'), '28');
    await person.type(screen.getByLabelText('Low rate'), '2');
    await person.type(screen.getByLabelText('High rate'), '1');
    expect(screen.getByText(/The low rate is above the high one/)).toBeTruthy();
    await person.type(screen.getByLabelText('High rate'), '0');
    expect(ruler('Frost, dry, 2–10')).toBeTruthy();
    await person.click(screen.getByRole('button', { name: /Add line/ }));
    expect(held.input.versions[0]!.lines.map(({ situation }) => situation)).toEqual(['Frost', 'Frost']);
    await person.click(screen.getByRole('button', { name: /Delete line/ }));
    expect(held.input.versions[0]!.lines).toHaveLength(1);
  });

  it('goes out as CSV and comes in as a new version; what cannot be read names its row', async () => {
    const { person, held } = open(TOWN);
    await person.click(screen.getByRole('button', { name: /Export this version/ }));
    const [{ name, text } = { name: '', text: '' }] = savedFiles();
    expect(name).toBe('Town winter guide (sample), from 2026-11-01.csv');
    const upload = (content: string) => userEvent.upload(screen.getByLabelText('File to import'), Object.assign(new File([content], 'guide.csv', { type: 'text/csv' }), { text: async () => content })); // prettier-ignore
    await upload(text.replace('falling', 'upwards'));
    expect(await screen.findByText(/^Row \d+: “upwards” is not one of these/)).toBeTruthy();
    expect(held.input.versions).toHaveLength(2);
    await upload(text);
    await waitFor(() => expect(held.input.versions).toHaveLength(3));
    expect(held.input.versions[0]!.lines.map(({ cold, low, advice }) => [cold, low, advice])).toEqual(TOWN.versions[0]!.lines.map(({ cold, low, advice }) => [cold, low, advice])); // prettier-ignore
  });
});

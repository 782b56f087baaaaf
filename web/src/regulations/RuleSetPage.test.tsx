import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { alerts, lineText, openApp, plain, sampleJob, valueOf, withDemo } from '../testing/openApp.tsx';

const [TOWN] = demo.ruleSets;
const [AT_ONCE, IN_A_YEAR] = TOWN!.input.rules;
const CREEK = {
  id: '01972100-5a1e-7104-9c3e-0000000000aa',
  input: {
    ...TOWN!.input,
    name: 'Creek rules',
    rules: [
      { ...AT_ONCE!, amount: '0.7' },
      { ...IN_A_YEAR!, amount: '2', from: '01-01', to: '12-31' },
    ],
  },
};

beforeEach(() => withDemo({ jobs: demo.jobs, ruleSets: [...demo.ruleSets, CREEK] }));

it('a rule asks for its limit and its days, says what is wrong with them, and is saved with the rest', async () => {
  const { fill, press, choose, server } = openApp('/shelf/rules/new');
  const said = (text: string) => waitFor(() => expect(alerts()).toContain(text));
  await fill('Name', 'Brook rules');
  await press('Save rule set');
  await said('Type a number here');
  await fill('Limit', '0.7');
  await press('Add rule');
  await choose('Rule 2', 'most-in-a-year');
  await fill('Limit', '2', 1);
  await fill('From', '13-01', 1);
  await said('Write month-day');
  await fill('From', '01-01', 1);
  await fill('To', '12-31', 1);
  await press('Save rule set');
  await waitFor(() =>
    expect(server.of('ruleSets').map(({ input }) => input['name'])).toEqual(['Brook rules']),
  );
  expect(server.of('ruleSets')[0]!.input['rules']).toMatchObject([{}, { kind: 'most-in-a-year' }]);
});

it('a sheet that breaks them says which, and one act keeps them: less, or in portions', async () => {
  const { fill, press, person } = openApp(sampleJob('Fall feed, lake front'));
  const rules = await screen.findByLabelText('Rule set');
  await person.selectOptions(rules, within(rules).getByRole('option', { name: 'Creek rules' }));
  await fill('N applied earlier this year', '1.5');
  const broken = async () =>
    within(await screen.findByRole('list', { name: 'Rules that are broken', hidden: true })).getAllByRole(
      'listitem',
      { hidden: true },
    );
  expect((await broken()).map(({ textContent }) => plain(textContent)).join()).toContain('broken, by');
  await press(/^Use the most allowed/);
  await waitFor(() =>
    expect(screen.queryByRole('list', { name: 'Rules that are broken', hidden: true })).toBeNull(),
  );
  expect(valueOf('Amount needed')).toBe('0.5 lb');
  await press('Undo');
  await fill('N applied earlier this year', '');
  await press('Split in 2');
  await waitFor(() => expect(lineText('Portion 2 of 2')).toContain('÷ 2 ='));
});

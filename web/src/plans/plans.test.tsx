import type { PlanInput } from '@steady-scatter/core/plan';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { call, callDocuments } from '../api/lazyCall.ts';
import { Unreachable } from '../api/errors.ts';
import { queries } from '../api/queries.ts';
import { saveFile } from '../ui/saveFile.ts';
import { freshDevice } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import PlanPage from './PlanPage.tsx';
import { nextName } from './PlanOut.tsx';

const [P2026, P2027] = ['0197d000-5a1e-7001-9c3e-3a5b00002026', '0197d000-5a1e-7001-9c3e-3a5b00002027'];
let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  keepDemo();
  server = fakeServer();
  vi.mocked(callDocuments).mockImplementation(server.documents);
  vi.mocked(call).mockRejectedValue(new Unreachable('No.'));
  vi.useFakeTimers({ now: Date.parse('2026-11-27T12:00:00.000Z'), toFake: ['Date'] });
  return () => vi.useRealTimers();
});

const openList = async (id: string) => {
  const person = inApp(<PlanPage />, `/plans/${id}?show=list`);
  await screen.findByRole('group', { name: 'List' });
  return person;
};
const rows = () => screen.getAllByRole('row').map((row) => row.textContent);
const rowOf = (text: RegExp) => rows().find((row) => text.test(row));
const dialog = async () => within(await screen.findByRole('dialog'));
const saved = (person: ReturnType<typeof inApp>) =>
  person.click(screen.getByRole('button', { name: 'Save plan' })).then(() =>
    waitFor(() => {
      expect(server.of('plans')).toHaveLength(1);
      return server.of('plans')[0]!.input as unknown as PlanInput;
    }),
  );

describe('the plan of a year', () => {
  it('tells of each portion whether it was spread, missed or waits, and what it takes', async () => {
    await openList(P2026);
    expect(rowOf(/20 Apr 2026/)).toMatch(/Lake feed 24-0-8.*0\.8 lb N \/ 1000 ft².*20\.5 lb.*spread on 18 Apr 2026/); // prettier-ignore
    expect(rows().filter((row) => /14 Sep 2026/.test(row)).map((row) => /spread on 15 Sep 2026|missed/.exec(row)?.[0])).toEqual(['missed', 'spread on 15 Sep 2026']); // prettier-ignore
    expect(rowOf(/5 Oct 2026/)).toMatch(/look first: Colour after the first cut decides/);
    expect(rowOf(/^Potash 0-0-60/)).toMatch(/76\.3 lb1\.53.*29\.50/);
  });

  it('what was missed is caught up with on the next allowed day, with a way back', async () => {
    const person = await openList(P2026);
    await person.click(screen.getByRole('button', { name: /Open Potash 0-0-60, School: Pitch, 6 Nov 2026/ }));
    await person.click((await dialog()).getByRole('button', { name: 'Catch up' }));
    expect(rowOf(/School: Pitch36/)).toMatch(/27 Nov 2026.*due/);
    await person.click(screen.getByRole('button', { name: 'Undo' }));
    expect(rowOf(/School: Pitch36/)).toMatch(/6 Nov 2026.*missed/);
  });

  it('what nothing is left for says so and stays', async () => {
    const person = await openList(P2026);
    await person.click(screen.getByRole('button', { name: /Open Potash 0-0-60, School: Pitch,/ }));
    const panel = await dialog();
    await person.click(panel.getByRole('button', { name: 'Give it to those still to come' }));
    expect(panel.getByText('Nothing of its kind is still to come.')).toBeTruthy();
  });

  it('a broken rule stands at the portion, with the nearest allowed day one press away; one area goes alone', async () => {
    const person = await openList(P2027);
    await person.click(screen.getByRole('button', { name: /Open Lake feed 24-0-8, Lake front: Bandstand lawn, Slipway bank.*19 Apr 2027/ })); // prettier-ignore
    const panel = await dialog();
    expect(panel.getByText('✓ No rule is broken.')).toBeTruthy();
    await person.click(panel.getByRole('checkbox', { name: 'Slipway bank' }));
    await person.click(panel.getByRole('checkbox', { name: 'Library strip' }));
    const day = panel.getByLabelText('Day');
    fireEvent.change(day, { target: { value: '2027-05-20' } });
    // The label asks for 28 days before the feed of 1 June.
    await person.click(await panel.findByRole('button', { name: 'Move to 4 May 2027' }));
    expect(panel.getByText('✓ No rule is broken.')).toBeTruthy();
    await person.click(panel.getByRole('button', { name: 'Close' }));
    const { portions } = await saved(person);
    const april = portions.filter(({ productName, onDay }) => productName === 'Lake feed 24-0-8' && onDay < '2027-05-30'); // prettier-ignore
    expect(april.map(({ areaName, onDay }) => [areaName, onDay])).toEqual([['Bandstand lawn', '2027-05-04'], ['Slipway bank', '2027-04-19'], ['Library strip', '2027-04-19']]); // prettier-ignore
  });

  it('half now and half after a look; a wrong amount is said and not saved', async () => {
    const person = await openList(P2027);
    await person.click(screen.getByRole('button', { name: /Open Lake feed.*12 Jul 2027/ }));
    await person.click((await dialog()).getByRole('button', { name: 'Half now, half after a look' }));
    expect(rowOf(/12 Jul 2027/)).toMatch(/0\.4 lb N/);
    expect(rowOf(/9 Aug 2027/)).toMatch(/0\.4 lb N.*look first/);
    await person.click(screen.getByRole('button', { name: /Open Lake feed.*12 Jul 2027/ }));
    const panel = await dialog();
    await person.clear(panel.getByLabelText('Each time'));
    await person.type(panel.getByLabelText('Each time'), 'much');
    expect(await panel.findByRole('alert')).toBeTruthy();
    await person.click(panel.getByRole('button', { name: 'Close' }));
    await person.click(screen.getByRole('button', { name: 'Save plan' }));
    expect(server.of('plans')).toEqual([]);
  });

  it('what is no longer there is told, and what takes its place is chosen', async () => {
    const plan = structuredClone(queries.getQueryData<{ input: PlanInput }>(['plans', 'one', P2027])!);
    const [first] = plan.input.portions;
    const gone = { ...first!, area: '01972100-5a1e-7104-9c3e-000000000000', areaName: 'Old lawn', product: '01972100-5a1e-7104-9c3e-000000000001' }; // prettier-ignore
    keepDemo({ plans: [{ id: P2027, input: { ...plan.input, portions: [gone], ruleSet: '01972100-5a1e-7104-9c3e-000000000002' } }] }); // prettier-ignore
    const person = await openList(P2027);
    expect(screen.getByText(/held against rules that are no longer there/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: /Open Lake feed/ }));
    const panel = await dialog();
    expect(panel.getByText(/Lake feed 24-0-8 is no longer on the shelf/)).toBeTruthy();
    expect(panel.getByText(/Old lawn is no longer among the areas of Lake front/)).toBeTruthy();
    await person.selectOptions(panel.getByLabelText('Put it on'), 'Slipway bank');
    await person.selectOptions(panel.getByLabelText('Product'), 'Lake feed 24-0-8');
    expect(panel.queryByText(/is no longer/)).toBeNull();
    expect(panel.getByText(/in all \(Slipway bank\)/)).toBeTruthy();
  });
});

describe('planning', () => {
  it('from the soil test of the ground, in portions, held against that site’s rules', async () => {
    const person = await openList(P2027);
    await person.selectOptions(screen.getByLabelText('Site'), 'School');
    await person.click(screen.getByRole('checkbox', { name: 'Training end' }));
    await person.click(screen.getByRole('checkbox', { name: 'Yard' }));
    await person.click(await screen.findByRole('button', { name: /From soil test: 120 kg N \/ ha/ }));
    await person.selectOptions(screen.getByLabelText('Product'), 'Straight nitrogen 46-0-0');
    await person.clear(screen.getByLabelText('In how many portions'));
    await person.type(screen.getByLabelText('In how many portions'), '3');
    expect(screen.getByText('Each time 40 kg N / ha')).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Put them on the plan' }));
    expect(rows().filter((row) => /Straight nitrogen 46-0-0.*School: Pitch40 kg N/.test(row))).toHaveLength(
      3,
    );
    expect(screen.getByText('3 portions added.')).toBeTruthy();
  });

  it('what cannot be read is said at its field, and nothing is added', async () => {
    const person = await openList(P2027);
    const before = rows().length;
    await person.type(screen.getByLabelText('In all', { selector: 'input' }), 'a lot');
    await person.click(screen.getByRole('button', { name: 'Put them on the plan' }));
    expect(screen.getByRole('alert')).toBeTruthy();
    expect(rows()).toHaveLength(before);
  });
});

describe('taken along', () => {
  it('as a calendar file, and as the plan of the next year', async () => {
    const person = await openList(P2027);
    await person.click(await screen.findByRole('button', { name: 'Save as calendar file' }));
    expect(saveFile).toHaveBeenCalledWith('2027 season.ics', 'text/calendar', expect.stringContaining('Lake feed 24-0-8 on Lake front')); // prettier-ignore
    await person.click(screen.getByRole('button', { name: 'Plan the next year from this' }));
    await waitFor(() => expect(server.of('plans')).toHaveLength(1));
    const next = server.of('plans')[0]!.input as unknown as PlanInput;
    expect(next).toMatchObject({ name: '2028 season', fromDay: '2028-01-01' });
    expect(next.portions[0]!.onDay).toBe('2028-04-19');
    expect([nextName('Lake', '2027'), nextName('2027 and 2027', '2027')]).toEqual(['Lake 2028', '2028 and 2028']); // prettier-ignore
  });

  it('an address for a calendar is shown once, and taken back', async () => {
    const feeds = [{ id: 'f', name: 'Foreman', since: '2026-11-20T08:00:00.000Z', readAt: null }];
    vi.mocked(call).mockImplementation(async (name: string) => {
      if (name === 'listFeeds') return [...feeds];
      if (name === 'addFeed') return { id: 'g', path: '/calendar/secret.ics' };
      if (name === 'revokeFeed') return void feeds.splice(0);
      return new Promise(() => undefined);
    });
    const person = await openList(P2027);
    expect(await screen.findByText('Foreman, since 20 Nov 2026, not read yet')).toBeTruthy();
    await person.type(screen.getByLabelText('Who it is for'), 'Office');
    await person.click(screen.getByRole('button', { name: 'Make an address' }));
    expect(await screen.findByText(/\/calendar\/secret\.ics$/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Take back the address of Foreman' }));
    await waitFor(() => expect(screen.queryByText(/Foreman, since/)).toBeNull());
  });
});

describe('the calendar', () => {
  it('says of each portion what it is, where, when and how it stands; closed days are marked', async () => {
    inApp(<PlanPage />, `/plans/${P2027}`);
    expect(await screen.findByRole('button', { name: 'Lake feed 24-0-8, Lake front, 3 areas, 19 Apr 2027, ahead' })).toBeTruthy(); // prettier-ignore
    expect(screen.getByText('13 weeks from April 2027')).toBeTruthy();
    expect(screen.getAllByRole('group', { name: /^Week of/ })).toHaveLength(13);
  });

  it('goes on by months', async () => {
    const person = inApp(<PlanPage />, `/plans/${P2027}`);
    await person.click(await screen.findByRole('button', { name: 'A month later' }));
    expect(screen.getByText('13 weeks from May 2027')).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'A month earlier' }));
    expect(screen.getByText('13 weeks from April 2027')).toBeTruthy();
  });
});

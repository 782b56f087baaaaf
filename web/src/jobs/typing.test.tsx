import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { waitingHere } from '../testing/device.ts';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import {
  alerts,
  bigNumber,
  lineText,
  openApp,
  plain,
  region,
  sampleJob,
  saysIn,
  valueOf,
  withDemo,
} from '../testing/openApp.tsx';

beforeEach(() => withDemo({ jobs: demo.jobs }));

const AREA_1 = /area 1, measured as/i;

describe('on a new sheet', () => {
  it('three areas in mixed units, a need in metric, and units changed in place', async () => {
    const { person, fill, press } = openApp('/');
    await fill('Amount needed', '40 kg/ha');
    await fill('Grade on the label', '24-0-8');
    await fill(AREA_1, '62 x 38 ft');
    await press('Add area');
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Name of area 2')));
    await fill('Name of area 2', 'Slipway bank');
    await fill('Slipway bank, measured as', '690 m2');
    await press('Add area');
    await fill(/area 3, measured as/i, '0.17 ac');
    // (2356 ft2 + 690 m2 + 0.17 ac) x 40 kg/ha / 0.24
    await waitFor(async () => expect(await bigNumber()).toBe('26.6 kg'));
    expect(valueOf('Amount needed')).toBe('40 kg');

    await press('Change the area that the need is given on, now ha');
    await press(/^m² ?0\.004 kg/);
    await waitFor(() => expect(plain(valueOf('Amount needed'))).toBe('0.004 kg'));
    expect(await bigNumber()).toBe('26.6 kg');

    await press(/^Change the unit of the need/);
    await person.click(await screen.findByText('Keep the number'));
    await press(/^g ?0\.004 g/);
    await waitFor(async () => expect(await bigNumber()).toBe('26.6 g'));
    expect(valueOf('Amount needed')).toBe('0.004 g');
  });

  it('the share in the line changes the grade, and a need typed with its nutrient finds its terms', async () => {
    const { person, fill } = openApp('/');
    await fill('Amount needed', '1 lb K2O per acre');
    await person.keyboard('{Enter}');
    await waitFor(() => expect(valueOf('Amount needed')).toBe('1 lb'));
    expect(valueOf('What is needed')).toBe('K2O');
    await fill('Grade on the label', '24-0-8');
    await fill('Share of potash in the product', '12');
    await person.keyboard('{Enter}');
    await waitFor(() => expect(valueOf('Grade on the label')).toBe('24-0-12'));
    expect(lineText('What the ground needs')).toBe(
      '1 lb K₂O on each acre ÷ 12 % in 24-0-12 = 8.33 lb / acre',
    );
  });

  it('wrong entries say what would be right and keep what was typed', async () => {
    const { person, fill, press } = openApp('/');
    const refused = async (label: string | RegExp, typed: string, said: string) => {
      await fill(label, typed);
      await person.tab();
      await waitFor(() => expect(alerts()).toContain(said));
      const field = screen.getByLabelText(label);
      expect(valueOf(label)).toBe(typed);
      expect(field.getAttribute('aria-invalid')).toBe('true');
      const told = field
        .getAttribute('aria-describedby')!
        .split(' ')
        .map((id) => document.getElementById(id)?.textContent);
      expect(told.join()).toContain(said);
      await fill(label, label === 'Amount needed' ? '0.8' : '');
    };
    await fill('Amount needed', '0.8');
    for (const each of [
      ['Grade on the label', '240-8', 'Is it 24-0-8?'],
      ['Grade on the label', '0.24-0-0.08', 'Is 0.24-0-0.08 meant as 24-0-8?'],
      ['Grade on the label', '60-30-20', 'adds up to 110 %'],
      ['Grade on the label', '0-0-50', 'holds no nitrogen'],
      ['Amount needed', '0', 'has to be more than 0'],
      ['Amount needed', '0,5', 'Write 0.5 if it marks a decimal'],
      ['Amount needed', '1e309', 'too large a number'],
      ['Amount needed', '🌱', 'cannot be read as a weight per area'],
      ['Amount needed', '<b>0.8</b>', 'cannot be read'],
      ['Amount needed', 'x'.repeat(10_000), '10000 characters'],
      [AREA_1, '-5 m2', 'has to be more than 0'],
      [AREA_1, '10 001 ha', 'more than 10 000 ha'],
      [AREA_1, '5 blorps', 'no unit blorps'],
      ['Package size', '40 ft', 'does not measure a weight'],
    ] as const) {
      // oxlint-disable-next-line no-await-in-loop -- one after the other on one sheet
      await refused(each[0], each[1], each[2]);
    }
    await fill('Grade on the label', '240-8');
    await press('Use 24-0-8');
    await waitFor(() => expect(valueOf('Grade on the label')).toBe('24-0-8'));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('the sentence about an error waits until the typing pauses', async () => {
    const { person } = openApp('/');
    await person.click(await screen.findByLabelText('Grade on the label'));
    await person.keyboard('24-');
    expect(screen.queryByRole('alert')).toBeNull();
    expect((await screen.findByRole('alert')).textContent).toContain('three numbers');
    expect(document.activeElement).toBe(screen.getByLabelText('Grade on the label'));
  });

  it('the answer is announced after a pause, not at each key', async () => {
    const { person, fill } = openApp('/');
    await fill('Grade on the label', '24-0-8');
    await fill(AREA_1, '7400');
    const big = async () => within(await region('Answer')).getByRole('status', { hidden: true });
    expect((await big()).getAttribute('aria-live')).toBe('polite');
    await waitFor(async () => expect(plain((await big()).textContent)).toMatch(/^—/));
    await person.type(screen.getByLabelText('Amount needed'), '0.8');
    expect(await saysIn('Answer')).toContain('24.7');
    expect(await bigNumber()).toMatch(/^—/);
    await waitFor(async () => expect(await bigNumber()).toBe('24.7 lb'));
  });

  it('that is wrong is not saved, and stays as it was typed', async () => {
    const { fill, press, server } = openApp('/');
    await fill('Name of the job', 'Never saved');
    await fill('Grade on the label', '240-8');
    await press('Save job');
    await waitFor(() => expect(alerts().match(/Is it 24-0-8\?/g)).toHaveLength(2));
    expect(document.activeElement).toBe(screen.getByLabelText('Grade on the label'));
    expect(server.of('jobs')).toEqual([]);
    expect(waitingHere()).toEqual([]);
    // What keeps it is said until something is changed.
    await fill('Grade on the label', '24-0-8');
    await waitFor(() => expect(screen.queryByRole('alert', { hidden: true })).toBeNull());
    await press('Save job');
    await waitFor(() => expect(server.of('jobs')).toHaveLength(1));
  });

  it('the working is copied as text', async () => {
    const { fill, press } = openApp('/');
    await fill('Name of the job', 'Library strip');
    await fill('Amount needed', '0.8');
    await fill('Grade on the label', '24-0-8');
    await fill(AREA_1, '1 600 ft2');
    await press('Copy');
    expect(await screen.findByText('The working is copied.')).toBeTruthy();
    const copied = plain(await navigator.clipboard.readText());
    expect(copied).toContain(
      'Library strip What the ground needs: 0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²',
    );
    expect(copied).toContain('In all: 3.33 lb / 1000 ft² × 1 600 ft² = 5.33 lb');
  });

  it('the label read backwards, either way round', async () => {
    const { fill, press } = openApp('/');
    await fill('Grade on the label', '24-0-8');
    await fill('Package on the label', '40 lb');
    await fill('Ground that one package covers', '12 000');
    const label = () => saysIn('What the label does');
    await waitFor(async () => expect(await label()).toContain('It also delivers 0.267 lb K₂O'));
    expect(lineText('What the label does')).toBe(
      '40 lb covers 12 000 ft² = 3.33 lb / 1000 ft² × 24 % in 24-0-8 = 0.800 lb N / 1000 ft²',
    );
    await fill('Amount needed', '0.8 lb');
    await waitFor(async () =>
      expect(await label()).toContain('The label’s rate delivers as much nitrogen as needed.'),
    );
    expect(lineText('One package at this rate')).toContain('12 000 ft²');
    await fill('Amount needed', '1 lb');
    await waitFor(async () => expect(await label()).toContain('delivers 20.0 % less nitrogen than needed'));
    await press('Use the label’s rate');
    await waitFor(() => expect(valueOf('Amount needed')).toBe('0.8 lb'));
    await press('Undo');
    await waitFor(() => expect(valueOf('Amount needed')).toBe('1 lb'));
  });

  it('a product is taken from the shelf, and weighed out in its scoops', async () => {
    const { fill, press } = openApp('/');
    await press('Choose a product from the shelf');
    await fill('Search the shelf', 'organic');
    await press('Organic meal 8-3-1');
    await fill('Amount needed', '40 kg/ha');
    await fill(AREA_1, '410 m2');
    await waitFor(async () => expect(await bigNumber()).toBe('20.5 kg'));
    expect(valueOf('Grade on the label')).toBe('8-3-1');
  });
});

describe('on a sample job', () => {
  it('is duplicated under another name, and what is dropped comes back', async () => {
    const { fill, press } = openApp(sampleJob('Rose terrace, potash'));
    const upper = 'Upper bed, measured as';
    await screen.findByLabelText(upper);
    const before = valueOf(upper);
    await press('Duplicate');
    await waitFor(() => expect(valueOf('Name of the job')).toBe('Rose terrace, potash (copy)'));
    await fill(upper, '40 x 6 ft');
    await press('Discard changes');
    await waitFor(() => expect(valueOf(upper)).toBe(before));
    await press('Undo');
    await waitFor(() => expect(valueOf(upper)).toBe('40 x 6 ft'));
  });

  it('units as preferred change what is shown, never what was typed', async () => {
    const { person, press } = openApp(sampleJob('Spring feed, lake front'));
    await press('Settings');
    await press('metric');
    await person.keyboard('{Escape}');
    await waitFor(async () => expect(await bigNumber()).toBe('11.4 kg'));
    expect(valueOf('Amount needed')).toBe('0.8');
    expect(lineText('In all')).toBe('163 kg / ha × 698 m² = 11.4 kg');
    await press('Settings');
    await person.selectOptions(within(await screen.findByRole('dialog')).getByLabelText('Areas'), 'acre');
    await person.keyboard('{Escape}');
    await waitFor(() => expect(lineText('In all')).toBe('163 kg / ha × 0.172 acre = 11.4 kg'));
    expect(screen.getByRole('button', { name: 'Saved' })).toBeTruthy();
  });

  it('a carrier has low and high of its label; a liquid its mix; scoops are counted', async () => {
    const { press } = openApp(sampleJob('Ball field, carrier before seeding'));
    await waitFor(async () => expect(await bigNumber()).toBe('33.5 kg'));
    expect(lineText('What the ground needs')).toContain(
      '0.6 kg a.i. on each ha ÷ 0.43 % in the product = 140 kg / ha',
    );
    await press('Use the highest');
    await waitFor(() => expect(valueOf('Amount needed')).toBe('0.688 kg'));
  });

  it('a liquid has its finished mix, by volume too', async () => {
    const { choose } = openApp(sampleJob('Bowling green, liquid top-up'));
    await waitFor(async () => expect(await bigNumber()).toBe('4.83 L'));
    await waitFor(() => expect(lineText('Spray mix')).toContain('= 72.2 L of finished mix'));
    await choose('What is needed', 'product');
    expect((await screen.findAllByText('L / ha')).length).toBeGreaterThan(0);
  });

  it('what has a scoop is counted in scoops', async () => {
    openApp(sampleJob('Spring feed, lake front'));
    await waitFor(async () => expect(await saysIn('In scoops')).toContain('with red scoop, struck off'));
  });

  it('two portions in two directions: each time over is a quarter, and so is the setting', async () => {
    const { choose, stop } = openApp(sampleJob('Bandstand lawn, summer in two portions'));
    await waitFor(async () => expect(await saysIn('Answer')).toContain('This time, each way: 4.30 lb'));
    expect(screen.getByText(/each portion 3.00 lb \/ 1000 ft²/)).toBeTruthy();
    expect(screen.queryByText(/above the label’s highest/)).toBeNull();
    expect(lineText('This time, each way')).toBe(
      '6.00 lb / 1000 ft² ÷ 2 portions ÷ 2 directions = 1.50 lb / 1000 ft² so in all 4.30 lb',
    );
    // 1.44 lb N from 24 % are 6 lb: a quarter of it each time over.
    await stop(/^Test/);
    await waitFor(async () => expect(await saysIn('Setting')).toContain('Set gate to 8.5'));
    expect(await saysIn('Setting')).toMatch(/1\.50 lb \/ 1000 ft²/);
    await stop(/^Ground/);
    await choose('Over the ground', 'one');
    await stop(/^Test/);
    await waitFor(async () => expect(await saysIn('Setting')).toContain('Set gate to 10.5'));
  });
});

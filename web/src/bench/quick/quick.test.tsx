import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { callDocuments, callEvents } from '../../api/lazyCall.ts';
import { openDraft as draftOf } from '../../documents/drafts.ts';
import { CALIBRATIONS } from '../../kinds/useCalibrations.ts';
import { freshDevice } from '../../testing/device.ts';
import { fakeServer } from '../../testing/fakeServer.ts';
import { inApp, keepDemo } from '../../testing/inApp.tsx';
import QuickTestPage from './QuickTestPage.tsx';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  keepDemo();
  server = fakeServer();
  vi.mocked(callDocuments).mockImplementation(server.documents);
  vi.mocked(callEvents).mockImplementation(server.events);
});

const answer = () => within(screen.getByRole('region', { name: 'Answer' }));
const type = async (person: ReturnType<typeof inApp>, readings: Readonly<Record<string, string>>) => {
  for (const [label, text] of Object.entries(readings)) {
    // oxlint-disable-next-line no-await-in-loop -- one field after the other
    await person.clear(screen.getByLabelText(label));
    // oxlint-disable-next-line no-await-in-loop
    await person.type(screen.getByLabelText(label), text);
  }
};
const STRIP = {
  'Weight before': '18.00',
  'Weight after': '14.35',
  'Strip length': '60',
  'Pass spacing': '9',
};

describe('a quick test', () => {
  it('four readings are a rate with its band, before any machine has a name', async () => {
    const person = inApp(<QuickTestPage />);
    expect(screen.getByRole('button', { name: 'Save to a machine' }).hasAttribute('disabled')).toBe(true);
    await type(person, STRIP);
    expect(answer().getByText(/^±0\.\d+ \(8\.\d %\), from one run/)).toBeTruthy();
    expect(answer().getByRole('group', { name: 'Run' }).textContent).toMatch(
      /18\.00 lb.*14\.35 lb.*60 ft.*9 ft.*6\.76/s,
    );
  });

  it('a further run keeps the course, and the mean of both is told', async () => {
    const person = inApp(<QuickTestPage />);
    await type(person, STRIP);
    await person.click(screen.getByRole('button', { name: 'Next run' }));
    expect(screen.getByLabelText<HTMLInputElement>('Strip length').value).toBe('60');
    expect(screen.getByLabelText<HTMLInputElement>('Weight before').value).toBe('');
    await type(person, { 'Weight before': '14.35', 'Weight after': '10.80' });
    expect(answer().getByText(/the mean of 2 runs/)).toBeTruthy();
    await person.click(answer().getByRole('button', { name: /^Run 1: 6\.76/ }));
    expect(screen.getByLabelText<HTMLInputElement>('Weight before').value).toBe('18.00');
  });

  it('another method asks for other readings and keeps those that are the same', async () => {
    const person = inApp(<QuickTestPage />);
    await type(person, { 'Strip length': '6' });
    await person.click(screen.getByRole('button', { name: 'Catch' }));
    expect(screen.getByLabelText<HTMLInputElement>('Strip length').value).toBe('6');
    expect(screen.queryByLabelText('Weight before')).toBeNull();
    await person.click(screen.getByRole('button', { name: 'Run out' }));
    expect(screen.queryByLabelText('Pass spacing')).toBeNull();
  });

  it('says what is wrong at its field, and keeps what was typed', async () => {
    const person = inApp(<QuickTestPage />);
    await type(person, { ...STRIP, 'Weight after': '19' });
    expect(screen.getByLabelText('Weight after').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByLabelText<HTMLInputElement>('Weight after').value).toBe('19');
  });

  it('counts in kilograms and meters when asked to: 2 kg over 200 m² are 100 kg/ha', async () => {
    const person = inApp(<QuickTestPage />);
    await person.click(screen.getByRole('button', { name: /^Units: lb, ft/ }));
    await type(person, {
      'Weight before': '20',
      'Weight after': '18',
      'Strip length': '100',
      'Pass spacing': '2',
    });
    expect(await answer().findByText(/^100 kg/, { selector: 'output' })).toBeTruthy();
  });

  it('is cleared with one press, and brought back with another', async () => {
    const person = inApp(<QuickTestPage />);
    await type(person, STRIP);
    await person.click(screen.getByRole('button', { name: 'Clear' }));
    expect(screen.getByLabelText<HTMLInputElement>('Weight before').value).toBe('');
    await person.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Weight before').value).toBe('18.00'));
  });
});

describe('saved to a machine', () => {
  const begin = async () => {
    const person = inApp(<QuickTestPage />);
    await type(person, STRIP);
    await person.click(screen.getByRole('button', { name: 'Save to a machine' }));
    return person;
  };
  const runs = () => [...server.rows.values()];

  it('a known one: its calibration begins with the run, at the setting it stood at', async () => {
    const person = await begin();
    await person.selectOptions(screen.getByLabelText('Machine'), 'Red push spreader');
    await type(person, { Setting: '11', Product: 'Lake feed' });
    await person.click(screen.getByRole('button', { name: 'Save test' }));
    await waitFor(() => expect(runs()).toHaveLength(1));
    expect(runs()[0]!.input).toMatchObject({
      setting: '11',
      method: 'weigh-back',
      readings: { in: '18.00', left: '14.35' },
    });
    const [stored] = server.of('calibrations');
    // The next test begins empty.
    await waitFor(() => expect(draftOf(CALIBRATIONS, 'quick-test')).toBeNull());
    expect(stored!.input).toMatchObject({
      name: 'Red push spreader, Lake feed',
      product: 'Lake feed',
      width: { text: '9' },
    });
  });

  it('a new one is made with its name, and nothing is saved without one', async () => {
    const person = await begin();
    await person.selectOptions(screen.getByLabelText('Machine'), 'New machine');
    await person.click(screen.getByRole('button', { name: 'Save test' }));
    expect(screen.getByRole('alert').textContent).toMatch(/Name the machine/);
    expect(runs()).toEqual([]);
    await person.type(screen.getByLabelText('Machine name'), 'Blue hand spreader');
    await person.click(screen.getByRole('button', { name: 'Save test' }));
    await waitFor(() => expect(runs()).toHaveLength(1));
    const [rig] = server.of('rigs');
    expect(rig!.input['name']).toBe('Blue hand spreader');
    expect(server.of('calibrations')[0]!.input['rig']).toBe(rig!.id);
  });

  it('what cannot be said yet can be left for later', async () => {
    const person = await begin();
    await person.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(screen.getByRole('button', { name: 'Save to a machine' })).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Weight before').value).toBe('18.00');
  });
});

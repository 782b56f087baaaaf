import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { callDocuments } from '../api/lazyCall.ts';
import { freshDevice } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import SoilTestPage from './SoilTestPage.tsx';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  keepDemo();
  server = fakeServer();
  vi.mocked(callDocuments).mockImplementation(server.documents);
});

it('asks for the ground, the day and the needs; units and laboratory stand in lines', () => {
  inApp(<SoilTestPage />);
  const labels = screen
    .getAllByRole('textbox')
    .map((field) => (field as HTMLInputElement).labels?.[0]?.textContent);
  expect(labels).toEqual([
    'Ground',
    'N, nitrogen',
    'P₂O₅, phosphate',
    'K₂O, potash',
    'S, sulfur',
    'Lime',
    'Notes',
  ]);
  expect(screen.getByText(/^Needs are in .*, stated as P₂O₅ and K₂O$/)).toBeTruthy();
  expect(screen.getByText('Laboratory and pH are not noted')).toBeTruthy();
});

it('stated as elements, they are asked for as elements', async () => {
  const person = inApp(<SoilTestPage />);
  await person.click(screen.getByRole('button', { name: 'Change units' }));
  await person.selectOptions(screen.getByLabelText('Phosphorus and potassium as'), 'elemental P and K');
  expect(screen.getByLabelText('P, elemental phosphorus')).toBeTruthy();
  expect(screen.queryByLabelText('P₂O₅, phosphate')).toBeNull();
});

it('is saved with what was typed; a pH that cannot be is said in its line', async () => {
  const person = inApp(<SoilTestPage />);
  await person.type(screen.getByLabelText('Ground'), 'Boat house lawn');
  await person.type(screen.getByLabelText('N, nitrogen'), '3');
  await person.click(screen.getByRole('button', { name: 'Change laboratory and pH' }));
  await person.type(screen.getByLabelText('pH'), '62');
  expect(await screen.findByText(/A pH lies between 2 and 12/)).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Save soil test' }));
  expect(server.of('soilTests')).toEqual([]);
  await person.clear(screen.getByLabelText('pH'));
  await person.type(screen.getByLabelText('pH'), '6.2');
  expect(screen.getByText('pH 6.2')).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Save soil test' }));
  await waitFor(() => expect(server.of('soilTests')).toHaveLength(1));
  expect(server.of('soilTests')[0]!.input).toMatchObject({
    name: 'Boat house lawn',
    needs: { N: '3' },
    ph: '6.2',
  });
});

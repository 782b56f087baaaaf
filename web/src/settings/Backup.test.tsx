import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { Backup } from './Backup.tsx';

const asked: string[] = [];
let answer: Response;
beforeEach(() => {
  keepDemo();
  asked.length = 0;
  vi.stubGlobal('fetch', async (path: string) => {
    asked.push(path);
    return answer;
  });
});
const file = new File(['PK'], 'april.zip', { type: 'application/zip' });

it('hands everything over as one file', () => {
  inApp(<Backup />);
  expect(screen.getByRole('link', { name: 'Save a backup' }).getAttribute('href')).toBe('/api/backup');
});

it('asks before everything gives way, and leaves all as it is', async () => {
  const person = inApp(<Backup />);
  await person.upload(screen.getByLabelText('Backup to restore'), file);
  expect(screen.getByRole('alert').textContent).toContain(
    'april.zip in place of everything that is stored now?',
  );
  await person.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(screen.queryByRole('alert')).toBeNull();
  expect(asked).toEqual([]);
});

it('says why a backup is refused', async () => {
  const detail = 'This backup is damaged: it is cut. Nothing was changed; try another one.';
  answer = new Response(JSON.stringify({ type: '/problems/not-restored', title: 'Not restored', status: 422, detail }), { status: 422 }); // prettier-ignore
  const person = inApp(<Backup />);
  await person.upload(screen.getByLabelText('Backup to restore'), file);
  await person.click(screen.getByRole('button', { name: 'Restore backup' }));
  expect(await screen.findByText(detail)).toBeTruthy();
  expect(asked).toEqual(['/api/restore']);
});

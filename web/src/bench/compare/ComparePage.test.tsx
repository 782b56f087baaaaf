import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { openApp, plain, withDemo } from '../../testing/openApp.tsx';

beforeEach(() => withDemo());

it('machines stand side by side over the same rates, with what happened to each; nothing is copied between them', async () => {
  const { person } = openApp('/bench/compare');
  const curves = () => {
    const drawn = screen
      .queryAllByRole('img', { hidden: true })
      .find(({ textContent }) => textContent.includes('datasets'));
    const { datasets } = JSON.parse(drawn?.textContent ?? '{"datasets":[]}') as {
      datasets: { data: object[]; showLine?: boolean }[];
    };
    return datasets.filter(({ data, showLine }) => showLine && data.length > 0).length;
  };
  await waitFor(() => expect(curves()).toBeGreaterThan(0));
  const before = curves();
  await person.click(await screen.findByLabelText(/Two-row distributor/));
  await waitFor(() => expect(curves()).toBe(before + 1));
  expect(screen.getByText(/A setting is never copied from one machine to another/)).toBeTruthy();
  const rows = screen.getAllByRole('row', { hidden: true }).map(({ textContent }) => plain(textContent));
  expect(rows.some((row) => /Red push spreader.*serviced: New gate cable/.test(row))).toBe(true);
});

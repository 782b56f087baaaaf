import { waitFor } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { lineText, openApp, sampleJob, withDemo } from '../testing/openApp.tsx';
import { savedFiles } from '../testing/out.ts';

beforeEach(() => withDemo({ jobs: demo.jobs }));

it('the order of a plan takes stock off first, rounds up once, and goes out as a table', async () => {
  const { fill, press } = openApp(sampleJob('Lake front, September feed'));
  await fill('Packages in stock', '0.2');
  await fill('Price of a package', '40');
  await waitFor(() =>
    expect(lineText('What to buy')).toMatch(/^0\.472 packages − .* in stock, so buy 1 × .* = \$40\.00$/),
  );
  await press(/Export the order/);
  await waitFor(() => expect(savedFiles()).toHaveLength(1));
  const rows = savedFiles()[0]!.text.trim().split('\r\n');
  expect(rows[1]).toMatch(/^Bandstand lawn,2867,51\.\d+,11\.0\d+,0\.199/);
  expect(rows.slice(-2)).toEqual(['To buy,1', 'Cost,40.00']);
});

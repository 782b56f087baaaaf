import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { openApp, plain, sampleJob, says, withDemo } from '../testing/openApp.tsx';

beforeEach(() => withDemo({ jobs: demo.jobs }));

const tanks = async () =>
  plain((await screen.findByRole('table', { name: 'What each tank takes', hidden: true })).textContent);

it('a boom goes out in its own tanks, the last exactly; what does not dissolve in less water is refused', async () => {
  const { fill, stop } = openApp(sampleJob('Lake front, boom top-up'));
  await waitFor(async () =>
    expect(await tanks()).toMatch(/Each of 2 full tanks.*Finished mix50 gal1\d\.\d gal/),
  );
  await fill('Tank filled to', '40');
  await waitFor(async () =>
    expect(await tanks()).toMatch(/Each of 2 full tanks.*Finished mix40 gal3\d\.\d gal/),
  );
  await fill('Rate', '8');
  await says(/Potassium nitrate.* does not go into this tank/);
  await stop(/^Test/);
  await says(/It sprays 0\.96/);
});

it('a rig that spreads and sprays has two products and two charts on one job', async () => {
  const { stop } = openApp(sampleJob('Ball field, carrier and liquid at once'));
  await waitFor(async () => expect(await tanks()).toContain('Liquid nitrogen 28-0-0'));
  await stop(/^Test/);
  await says(/Set gate to 3:/);
  await says(/It sprays 0\.99/);
});

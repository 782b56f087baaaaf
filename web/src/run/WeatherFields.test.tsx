import { blankApplication } from '@steady-scatter/core/season';
import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { WeatherFields } from './WeatherFields.tsx';

const VALUES: Readonly<Record<string, number>> = { air: 12, soil: 9, pavement: 11, wind: 2.4, rainDue: 30 };
const answer = (of: string) => ({ format: 'steady-scatter.station/1', name: 'Pier', isSimulated: false, readings: [{ of, value: VALUES[of], at: new Date().toISOString() }] }); // prettier-ignore

beforeEach(() => {
  localStorage.clear();
  keepDemo();
  queries.setDefaultOptions({ queries: { staleTime: 0, retry: false } });
});

it('the station fills in once all of it has answered, the wind in the units of the fields', async () => {
  let windComes: () => void = () => undefined;
  const wind = new Promise<void>((resolve) => (windComes = resolve));
  vi.mocked(call).mockImplementation((async (_: string, { query }: { query: { of: string } }) => {
    if (query.of === 'wind') await wind;
    return answer(query.of);
  }) as never);
  const onChange = vi.fn();
  const person = inApp(
    <WeatherFields weather={blankApplication('us').weather} onPavement={false} onChange={onChange} />,
  );
  await vi.waitFor(() => expect(vi.mocked(call)).toHaveBeenCalledTimes(5));
  await vi.waitFor(() => expect(queries.getQueryData(['station', 'rainDue'])).toBeTruthy());
  expect(screen.queryByRole('button', { name: 'Fill in from Pier' })).toBeNull();
  windComes();
  await person.click(await screen.findByRole('button', { name: 'Fill in from Pier' }));
  // 12 and 9 °C, 2.4 m/s.
  expect(onChange).toHaveBeenCalledWith(expect.objectContaining({ air: '54', soil: '48', pavement: '', wind: '5.4 mph', rain: '30' })); // prettier-ignore
});

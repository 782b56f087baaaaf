import { ChakraProvider } from '@chakra-ui/react';
import { upgradeRig } from '@steady-scatter/core/rigs';
import { blankProduct, upgradeProduct, type ProductInput } from '@steady-scatter/core/shelf';
import { upgradeCalibration } from '@steady-scatter/core/testing';
import {
  AS_TYPED,
  answerWorksheet,
  blankWorksheet,
  upgradeWorksheet,
  type WorksheetInput,
} from '@steady-scatter/core/worksheet';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, type ReactNode } from 'react';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { createMemoryRouter, RouterProvider } from 'react-router';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { queries } from '../api/queries.ts';
import type { SheetForm } from '../jobs/drafts.ts';
import { SheetProvider } from '../jobs/sheet.tsx';
import { PreferencesProvider } from '../settings/PreferencesProvider.tsx';
import { system } from '../theme/index.ts';
import { NoticesProvider } from '../ui/notices.tsx';

const kept = <Typed,>(id: string, typed: Typed) => ({ id, version: 1, isSample: true, typed, changedAt: '2026-04-18T08:00:00.000Z' }); // prettier-ignore

/** Everything that the made-up town keeps, as if it had been fetched; more or other things by their list. */
export function keepDemo(more: Readonly<Record<string, readonly unknown[]>> = {}): void {
  queries.clear();
  queries.setDefaultOptions({ queries: { staleTime: Infinity, retry: false } });
  const lists: Record<string, readonly unknown[]> = {
    jobs: [],
    'rule-sets': demo.ruleSets.map(({ id, typed }) => kept(id, typed)),
    'soil-tests': demo.soilTests.map(({ id, typed }) => kept(id, { site: '', area: '', ...typed })),
    rigs: demo.rigs.map(({ id, typed }) => kept(id, upgradeRig(typed as never))),
    calibrations: demo.calibrations.map(({ id, typed }) => kept(id, upgradeCalibration(typed as never))),
    products: demo.products.map(({ id, typed }) => kept(id, upgradeProduct(typed as never))),
    'width-tests': [],
    ...more,
  };
  for (const [root, list] of Object.entries(lists)) queries.setQueryData([root], list);
}

/** The worksheet of a sample job. */
export function sampleSheet(name: string): SheetForm {
  const job = demo.jobs.find((one) => one.name === name);
  if (!job) throw new Error(`There is no sample job ${name}.`);
  return { name, onDay: job.onDay, worksheet: upgradeWorksheet(job.worksheet as never) };
}

/** 0.8 lb N from 24-0-8 on 7400 ft2. */
export function plainSheet(
  more: Partial<WorksheetInput> = {},
  product: Partial<ProductInput> = {},
): SheetForm {
  const worksheet: WorksheetInput = {
    ...blankWorksheet('us', 'a'),
    need: { of: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
    product: { ...blankProduct('dry-fertilizer', 'us'), grade: '24-0-8', ...product },
    areas: [{ id: 'a', name: 'Lawn', size: '7400', unit: 'ft2' }],
    ...more,
  };
  return { name: 'Lawn', onDay: '2026-04-18', worksheet };
}

/** Renders a part with everything that it stands in, at an address; gives a person. */
export function inApp(part: ReactNode, address = '/') {
  const routes = [
    { path: '/jobs/:id', element: part },
    { path: '*', element: part },
  ];
  const router = createMemoryRouter(routes, { initialEntries: [address] });
  render(
    <ChakraProvider value={system}>
      <NoticesProvider>
        <PreferencesProvider>
          <RouterProvider router={router} />
        </PreferencesProvider>
      </NoticesProvider>
    </ChakraProvider>,
  );
  return userEvent.setup();
}

/** Renders a part of a sheet; gives what is typed on it by then and its answer, and a person. */
export function onSheet(part: ReactNode, start: SheetForm, address = '/') {
  const held: { form?: UseFormReturn<SheetForm> } = {};
  function Page() {
    const form = useForm<SheetForm>({ defaultValues: start });
    useEffect(() => void (held.form = form), [form]);
    return <SheetProvider form={form}>{part}</SheetProvider>;
  }
  const person = inApp(<Page />, address);
  const worksheet = () => held.form!.getValues('worksheet');
  return { person, worksheet, answer: () => answerWorksheet(worksheet(), AS_TYPED) };
}

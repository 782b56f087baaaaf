import { ChakraProvider } from '@chakra-ui/react';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { KIND_NAMES, KINDS, type Kind, type KindName, type ListAsk } from '@steady-scatter/contract';
import { blankProduct, type ProductInput } from '@steady-scatter/core/products';
import { stockOf } from '@steady-scatter/core/season';
import {
  AS_TYPED,
  answerWorksheet,
  blankWorksheet,
  type WorksheetInput,
  newJob,
} from '@steady-scatter/core/worksheet';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, type ReactNode } from 'react';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { createMemoryRouter, RouterProvider } from 'react-router';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { queries } from '../api/queries.ts';
import { CommandsProvider } from '../commands/CommandsProvider.tsx';
import { keysOf } from '../documents/docs.ts';
import type { SheetForm } from '../sheet/sheetForms.ts';
import { SheetProvider } from '../sheet/sheet.tsx';
import { PreferencesProvider } from '../settings/PreferencesProvider.tsx';
import { system } from '../theme/index.ts';
import { NoticesProvider } from '../notices/notices.tsx';

export type Stored = { readonly id: string; readonly input: unknown };

/** Styles are put where nothing reads them: jsdom would go through all of them for each question of whether something is shown. */
const styles = createCache({ key: 'css', container: document.createElement('div') });

/** A document as it would have been fetched. */
export const fetched = <Input,>(id: string, input: Input) => ({ id, version: 1, schemaVersion: 2, isSample: true, input, changedAt: '2026-04-18T08:00:00.000Z' }); // prettier-ignore

/** The line of a document in the list of its kind. */
export const lineOf = (kind: Kind, { id, input }: Stored) => ({
  ...kind.summarise(input, kind.evaluate(input)),
  id,
  version: 1,
  isSample: true,
  isReadable: true,
  name: kind.nameOf(input),
  changedAt: '2026-04-18T08:00:00.000Z',
});

/** A list as if it had been fetched. */
export const keepList = (kind: Kind, ask: ListAsk, items: readonly unknown[]): void =>
  void queries.setQueryData(keysOf(kind).list(ask), { pages: [{ items, next: null, total: items.length }], pageParams: [null] }); // prettier-ignore

/** What pages ask for of one machine: its calibrations with their runs. */
function keepMachines(): void {
  queries.setQueryData([...keysOf(KINDS.openRuns).all, ''], []);
  for (const { id: rig } of demo.rigs) {
    const own = demo.calibrations.filter(({ input }) => input.rig === rig);
    const ids = own.map(({ id }) => id);
    queries.setQueryData([...keysOf(KINDS.calibrations).all, `rig:${rig}`], own.map(({ id, input }) => fetched(id, input))); // prettier-ignore
    queries.setQueryData(['testRuns', 'several', ...ids], demo.testRuns.filter(({ subject }) => ids.includes(subject))); // prettier-ignore
  }
}

/** What is on the shelf: as it was counted and received, with nothing spread since. */
function keepShelf(): void {
  queries.setQueryData(['stockMoves', 'all'], demo.stockMoves);
  const stock = demo.products.flatMap(({ id }) => {
    const own = demo.stockMoves.filter(({ subject }) => subject === id);
    queries.setQueryData(['stockMoves', 'of', id], own);
    const line = stockOf(own as never, [], null);
    return line ? [{ product: id, ...line }] : [];
  });
  queries.setQueryData(['stock'], stock);
}

/** Everything that the made-up town stores, as if it had been fetched; other things in place of some of it. */
export function keepDemo(other: Partial<Record<KindName, readonly Stored[]>> = {}): void {
  queries.clear();
  queries.setQueryData(['testRuns', 'all'], demo.testRuns);
  queries.setQueryData(['applications', 'all'], demo.applications);
  queries.setQueryData(['looks', 'all'], demo.looks);
  for (const { id } of demo.jobs) {
    queries.setQueryData(['looks', 'of', id], demo.looks.filter(({ subject }) => subject === id)); // prettier-ignore
    queries.setQueryData([...keysOf(KINDS.walks).all, `job:${id}`], []);
  }
  keepShelf();
  for (const { id } of demo.storms)
    queries.setQueryData(['applications', 'of', id], demo.applications.filter(({ subject }) => subject === id)); // prettier-ignore
  for (const { id } of demo.calibrations) {
    queries.setQueryData(['testRuns', 'of', id], demo.testRuns.filter(({ subject }) => subject === id)); // prettier-ignore
    queries.setQueryData([...keysOf(KINDS.openRuns).all, `calibration:${id}`], []);
  }
  queries.setDefaultOptions({ queries: { staleTime: Infinity, retry: false } });
  keepMachines();
  for (const name of KIND_NAMES) {
    const kind = KINDS[name] as Kind;
    const rows: readonly Stored[] =
      other[name] ?? (name === 'jobs' || name === 'widthTests' ? [] : demo[name]);
    const keys = keysOf(kind);
    for (const { id, input } of rows) queries.setQueryData(keys.one(id), fetched(id, input));
    queries.setQueryData(
      keysOf(kind).all,
      rows.map(({ id, input }) => fetched(id, input)),
    );
    queries.setQueryData([...keysOf(kind).lists, 'whole'], rows.map((row) => lineOf(kind, row))); // prettier-ignore
    keepList(
      kind,
      {},
      rows.map((row) => lineOf(kind, row)),
    );
  }
}

/** A sample job as it is typed. */
export function sampleSheet(name: string): SheetForm {
  const job = demo.jobs.find(({ input }) => input.name === name);
  if (!job) throw new Error(`There is no sample job ${name}.`);
  return job.input as unknown as SheetForm;
}

/** 0.8 lb N from 24-0-8 on 7400 ft2. */
export function plainSheet(
  more: Partial<WorksheetInput> = {},
  product: Partial<ProductInput> = {},
): SheetForm {
  const worksheet: WorksheetInput = {
    ...blankWorksheet('us', 'a'),
    need: { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
    product: { ...blankProduct('dry-fertilizer', 'us'), grade: '24-0-8', ...product },
    areas: [{ id: 'a', name: 'Lawn', size: '7400', unit: 'ft2' }],
    ...more,
  };
  return newJob({ name: 'Lawn', onDay: '2026-04-18', worksheet });
}

/** Renders what has its own routes with everything that the whole app stands in; gives a person. */
export function standing(routed: ReactNode) {
  render(
    <CacheProvider value={styles}>
      <ChakraProvider value={system}>
        <NoticesProvider>
          <PreferencesProvider>{routed}</PreferencesProvider>
        </NoticesProvider>
      </ChakraProvider>
    </CacheProvider>,
  );
  return userEvent.setup();
}

/** Renders a part with everything that it stands in, at an address; gives a person. */
export function inApp(part: ReactNode, address = '/') {
  const whole = <CommandsProvider>{part}</CommandsProvider>;
  const routes = [
    { path: '/jobs/:id', element: whole },
    { path: '/bench/:id/run/:run?', element: whole },
    { path: '/plans/:id', element: whole },
    { path: '/shelf/:id/lots/:lot', element: whole },
    { path: '*', element: whole },
  ];
  const router = createMemoryRouter(routes, { initialEntries: [address] });
  return standing(<RouterProvider router={router} />);
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

import { blankRig, type RigInput } from '@steady-scatter/core/machines';
import { blankProduct } from '@steady-scatter/core/products';
import { describe, expect, it } from 'vitest';
import { ZodError } from 'zod';
import demo from '../../demo/tarn-hollow.json' with { type: 'json' };
import { documentOf, documentRoutes } from './documents.ts';
import { isLaterSchema, readInput } from './readInput.ts';
import { KIND_NAMES, KINDS, type KindName } from './kinds/index.ts';
import type { Kind } from './kinds/kind.ts';
import { listQuery, MAX_PAGE } from './listQuery.ts';
import { testsFile } from './testsFile.ts';

const kinds = KIND_NAMES.map((name): [KindName, Kind] => [name, KINDS[name]]);
const rowsOf = (name: KindName) =>
  demo[name] as readonly { readonly id: string; readonly input: Record<string, unknown> }[];
const problemsOf = (read: () => unknown): [path: string, code: string][] => {
  try {
    read();
    return [];
  } catch (error) {
    if (!(error instanceof ZodError)) throw error;
    return error.issues.map((issue) => [issue.path.join('.'), ('params' in issue && (issue.params as { code?: string }).code) || issue.code]); // prettier-ignore
  }
};

describe.each(kinds)('%s', (name, kind) => {
  it('is called by one name everywhere, and its routes stand under one path', () => {
    expect(kind.name).toBe(name);
    for (const { path } of Object.values(documentRoutes(kind))) expect(path.startsWith(kind.path)).toBe(true);
  });

  it('is listed by columns that it has', () => {
    expect([...Object.keys(kind.columns), 'name']).toContain(kind.sort.replace('-', ''));
    for (const column of kind.indexed ?? []) expect(kind.columns).toHaveProperty(column);
  });

  it('tells of each sample what its columns hold, its name, its texts, and what it leans on', () => {
    const known = new Set(KIND_NAMES.flatMap((other) => rowsOf(other).map(({ id }) => id)));
    const areas = new Set(demo.sites.flatMap(({ input }) => input.areas.map(({ id }) => id)));
    for (const { input } of rowsOf(name)) {
      const line = kind.summarise(input, kind.evaluate(input)) as Record<string, unknown>;
      expect(Object.keys(line).toSorted()).toEqual(Object.keys(kind.columns).toSorted());
      for (const [column, { schema }] of Object.entries(kind.columns)) expect([column, schema.safeParse(line[column]).error]).toEqual([column, undefined]); // prettier-ignore
      expect(kind.nameOf(input)).toBe(input['name'] ?? '');
      for (const text of kind.textsOf(input, (what) => (typeof what === 'string' ? what : what.id)))
        expect(text.trim()).not.toBe('');
      for (const id of kind.linksOf(input)) expect(known.has(id) || areas.has(id)).toBe(true);
    }
  });

  it('is read as it is written, and goes over the wire as it is stored', () => {
    for (const { id, input } of rowsOf(name)) {
      expect(readInput(kind, { schemaVersion: kind.schemaVersion, input })).toEqual(input);
      const document = {
        id,
        version: 1,
        schemaVersion: kind.schemaVersion,
        isSample: true,
        input,
        changedAt: '',
      };
      expect(documentOf(kind).parse(document)).toEqual(document);
    }
  });

  it('of a later version is read without what that added', () => {
    const [{ id, input } = { id: '', input: {} }] = rowsOf(name);
    const later = { id, version: 1, schemaVersion: 99, isSample: true, input: { ...input, wings: 2 }, changedAt: '', signedBy: 'x' }; // prettier-ignore
    expect(documentOf(kind).parse(later).input).toEqual(input);
    expect(isLaterSchema(kind, 99)).toBe(true);
    expect(isLaterSchema(kind, kind.schemaVersion)).toBe(false);
  });
});

describe('writing is strict', () => {
  const whole: RigInput = { ...blankRig('us'), name: 'Red spreader' };
  const write = (input: object, schemaVersion = KINDS.rigs.schemaVersion) => problemsOf(() => readInput(KINDS.rigs, { schemaVersion, input: input as never })); // prettier-ignore

  it.each<[string, object, [string, string][]]>([
    ['a field too many', { ...whole, wings: 2 }, [['input.wings', 'body.unrecognized_keys']]],
    ['one in a part', { ...whole, hopper: { ...whole.hopper, lid: '' } }, [['input.hopper.lid', 'body.unrecognized_keys']]],
    ['one in a list', { ...whole, services: [{ id: 's', onDay: '', what: '', dueDay: '', by: '' }] }, [['input.services.0.by', 'body.unrecognized_keys']]],
    ['a field of another type', { ...whole, name: 7 }, [['input.name', 'invalid_type']]],
    ['a unit of another kind', { ...whole, width: { text: '9', unit: 'lb' } }, [['input.width.unit', 'custom']]],
    ['what core cannot read', { ...whole, name: ' ' }, [['input.name', 'name.empty']]],
  ])('%s is refused where it stands', (_, input, problems) => expect(write(input)).toEqual(problems)); // prettier-ignore

  it('a field too few is refused, unless an earlier version did not know it', () => {
    const { outlets: _, ...short } = whole;
    expect(write(short).map(([path]) => path)).toEqual(['input.outlets']);
    expect(readInput(KINDS.rigs, { schemaVersion: 1, input: short })).toEqual(whole);
  });
});

describe('what a list is asked with', () => {
  it('has its usual page, and one filter or several', () => {
    expect(listQuery.parse({})).toEqual({ q: '', filter: [], limit: 50 });
    expect(listQuery.parse({ limit: '200', filter: 'a:1' })).toMatchObject({
      limit: MAX_PAGE,
      filter: ['a:1'],
    });
    expect(listQuery.parse({ filter: ['a:1', 'b:2'] }).filter).toEqual(['a:1', 'b:2']);
  });
  it.each([
    { limit: 0 },
    { limit: -1 },
    { limit: 10_000 },
    { limit: '2.5' },
    { page: 2 },
    { q: 'x'.repeat(201) },
  ])('not with %j', (asked) => expect(listQuery.safeParse(asked).success).toBe(false));
});

describe('a file of tests', () => {
  const id = '0197b1c0-0000-7000-8000-000000000001';
  const file = (rigs: object[], calibrations: object[] = []) => ({ format: 'steady-scatter-tests', version: 1, rigs, calibrations }); // prettier-ignore
  const { outlets: _, ...earlier } = { ...blankRig('us'), name: 'Red' };

  it('brings machines of every version', () => {
    const now = { id, schemaVersion: 2, input: { ...blankRig('us'), name: 'Red' } };
    expect(testsFile.parse(file([now])).rigs).toEqual([{ id, input: now.input }]);
    expect(testsFile.parse(file([{ id, typed: earlier }])).rigs).toEqual([{ id, input: now.input }]);
  });
  it.each([
    ['a machine without a name', [{ id, schemaVersion: 2, input: blankRig('us') }], 'rigs.0.input.name'],
    ['one of a later version', [{ id, schemaVersion: KINDS.rigs.schemaVersion + 1, input: {} }], 'rigs.0.schemaVersion'],
    ['something else', [{ id, schemaVersion: KINDS.rigs.schemaVersion, input: blankProduct('dry-fertilizer', 'us') }], 'rigs.0.input.kind'],
  ])('with %s is told where', (__, rigs, path) => {
    const paths = testsFile.safeParse(file(rigs)).error!.issues.map((issue) => issue.path.join('.'));
    expect(paths).toContain(path);
  }); // prettier-ignore
});

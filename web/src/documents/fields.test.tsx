import { blankRig, type RigInput } from '@steady-scatter/core/machines';
import { InputError } from '@steady-scatter/core/errors';
import { act, renderHook } from '@testing-library/react';
import { useForm, useWatch } from 'react-hook-form';
import { expect, it } from 'vitest';
import { asChoice, fieldsOf, fieldsOfPart } from './fields.ts';

const wrong = new InputError('name.empty', { field: 'hopper.size' });
const opened = () =>
  renderHook(() => {
    const form = useForm<RigInput>({ defaultValues: blankRig('us') });
    const input = useWatch({ control: form.control }) as RigInput;
    const errorAt = (field: string) => (field === wrong.field ? wrong : undefined);
    return { input, ...fieldsOf(form, input, errorAt) };
  });

it('a field shows its value and what is wrong with it, and changes that value alone', () => {
  const { result } = opened();
  const before = result.current.input;
  expect(result.current.field('hopper.size')).toMatchObject({ value: '', error: wrong });
  expect(result.current.field('name').error).toBeUndefined();
  act(() => result.current.field('hopper.size').onChange('50 lb'));
  expect(result.current.input).toEqual({ ...before, hopper: { ...before.hopper, size: '50 lb' } });
  expect(before.hopper.size).toBe('');
});

it('two changes of one moment do not undo each other', () => {
  const { result } = opened();
  const { bind } = result.current;
  act(() => {
    bind('name').onChange('Red');
    bind('hopper.unit').onChange('kg');
  });
  expect(result.current.input).toMatchObject({ name: 'Red', hopper: { unit: 'kg' } });
});

it('a list grows at its end and loses one in its middle', () => {
  const { result } = opened();
  const service = (id: string) => ({ id, onDay: '2026-04-10', what: id, dueDay: '' });
  for (const id of ['gate', 'wheel', 'chain']) act(() => result.current.add('services', service(id)));
  act(() => result.current.removeAt('services', 1));
  expect(result.current.input.services.map(({ what }) => what)).toEqual(['gate', 'chain']);
});

it('a part that is changed as a whole keeps what was not touched, and says which field it was', () => {
  const part = { name: 'Front', rows: { per: 'acre', own: '' }, edges: [{ id: 'a' }, { id: 'b' }] };
  const changes: [typeof part, string][] = [];
  const fields = fieldsOfPart(
    part,
    (next, path) => changes.push([next, path]),
    () => undefined,
  );
  fields.field('rows.own').onChange('6600');
  fields.set('edges.1.id', 'c');
  const [[own, ownPath], [edge, edgePath]] = changes as [[typeof part, string], [typeof part, string]];
  expect(own).toEqual({ ...part, rows: { per: 'acre', own: '6600' } });
  expect(own.edges).toBe(part.edges);
  expect(edge.edges).toEqual([{ id: 'a' }, { id: 'c' }]);
  // What was changed a moment before is in it.
  expect(edge.rows.own).toBe('6600');
  expect(edge.edges[0]).toBe(part.edges[0]);
  expect([ownPath, edgePath]).toEqual(['rows.own', 'edges.1.id']);
  expect(part.rows.own).toBe('');
});

it('a yes or no is one of two named choices', () => {
  let cut = true;
  const bound = () => asChoice({ value: cut, onChange: (next) => (cut = next) }, 'cut', 'add');
  expect(bound().value).toBe('cut');
  bound().onChange('add');
  expect(cut).toBe(false);
  expect(bound().value).toBe('add');
});

it('how a field changes stays the same from key to key', () => {
  const { result } = opened();
  const before = result.current.field('hopper.size').onChange;
  const { set } = result.current;
  act(() => result.current.set('name', 'Red'));
  expect(result.current.field('hopper.size').onChange).toBe(before);
  expect(result.current.set).toBe(set);
  act(() => before('50 lb'));
  expect(result.current.input).toMatchObject({ name: 'Red', hopper: { size: '50 lb' } });
});

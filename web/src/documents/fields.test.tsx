import { blankRig, type RigInput } from '@steady-scatter/core/machines';
import { InputError } from '@steady-scatter/core/errors';
import { act, renderHook } from '@testing-library/react';
import { useForm, useWatch } from 'react-hook-form';
import { expect, it } from 'vitest';
import { fieldsOf } from './fields.ts';

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

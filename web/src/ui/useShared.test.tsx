import { InputError } from '@steady-scatter/core/errors';
import { renderHook } from '@testing-library/react';
import { expect, it } from 'vitest';
import { useShared } from './useShared.ts';

const shared = <T,>(first: T) =>
  renderHook(({ now }: { now: T }) => useShared(now), { initialProps: { now: first } });

it('what says the same stays the same object, however often it is copied', () => {
  const first = { need: { amount: '0.8' }, areas: [{ id: 'a' }, { id: 'b' }] };
  const { result, rerender } = shared(first);
  for (let copy = 0; copy < 3; copy += 1) rerender({ now: structuredClone(first) });
  expect(result.current).toBe(first);
});

it('of what changed a little the rest stays', () => {
  const first = { need: { amount: '0.8' }, areas: [{ id: 'a' }, { id: 'b' }] };
  const { result, rerender } = shared(first);
  rerender({ now: { ...structuredClone(first), areas: [{ id: 'a' }, { id: 'c' }] } });
  expect(result.current.need).toBe(first.need);
  expect(result.current.areas[0]).toBe(first.areas[0]);
  expect(result.current.areas[1]).toEqual({ id: 'c' });
  expect(first.areas[1]).toEqual({ id: 'b' });
});

it('errors are handed on as they are: each has its own class', () => {
  const error = new InputError('name.empty', { field: 'name' });
  const { result, rerender } = shared<{ errors: InputError[] }>({ errors: [] });
  rerender({ now: { errors: [error] } });
  expect(result.current.errors[0]).toBe(error);
  expect(result.current.errors[0]).toBeInstanceOf(InputError);
});

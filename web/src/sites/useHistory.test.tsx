import { act, renderHook } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { aboutOf, useHistory } from './useHistory.ts';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

function onText(start: string) {
  const { result } = renderHook(() => {
    const [now, set] = useState(start);
    return { now, history: useHistory(now, set) };
  });
  return {
    now: () => result.current.now,
    can: () => result.current.history.can,
    change: (next: string, about: string) => act(() => result.current.history.change(next, about)),
    undo: () => act(() => result.current.history.undo()),
    redo: () => act(() => result.current.history.redo()),
  };
}

it('takes quick typing in one field as one step', () => {
  const text = onText('');
  text.change('3', 'a.length');
  text.change('30', 'a.length');
  text.undo();
  expect(text.now()).toBe('');
  text.redo();
  expect(text.now()).toBe('30');
});

it('takes another field, and the same after a pause, as a step of its own', () => {
  const text = onText('');
  text.change('a', 'a.length');
  text.change('ab', 'a.width');
  vi.advanceTimersByTime(1001);
  text.change('abc', 'a.width');
  text.undo();
  expect(text.now()).toBe('ab');
  text.undo();
  expect(text.now()).toBe('a');
});

it('never takes what is added and what is dragged right after it as one step', () => {
  const text = onText('nothing');
  text.change('added', aboutOf('lawn', ''));
  text.change('dragged', aboutOf('lawn', ''));
  text.undo();
  expect(text.now()).toBe('added');
});

it('goes nowhere from the ends, and a new change ends what could be done again', () => {
  const text = onText('a');
  text.undo();
  text.redo();
  expect(text.now()).toBe('a');
  text.change('b', '');
  text.undo();
  expect(text.can()).toEqual({ undo: false, redo: true });
  text.change('c', '');
  expect(text.can()).toEqual({ undo: true, redo: false });
  text.redo();
  expect(text.now()).toBe('c');
});

import { expect, it } from 'vitest';
import { commandFor, keysOf, type Command } from './commands.ts';

const press = (key: string, more = {}) => ({ key, ctrlKey: false, metaKey: false, altKey: false, ...more });
const acts: Command[] = ['Ctrl+S', 'Alt+A', 'n', '?'].map((keys) => ({
  id: keys,
  label: keys,
  keys,
  run: () => undefined,
}));
const still = { typing: false, singleKeys: true };

it('writes key presses as they are listed', () => {
  expect(keysOf(press('s', { ctrlKey: true }))).toBe('Ctrl+S');
  expect(keysOf(press('s', { metaKey: true }))).toBe('Ctrl+S');
  expect(keysOf(press('a', { altKey: true }))).toBe('Alt+A');
  expect(keysOf(press('?'))).toBe('?');
});

it('lets single keys rest while somebody types or does not want them, and the others not', () => {
  expect(commandFor(acts, press('n'), still)?.id).toBe('n');
  expect(commandFor(acts, press('n'), { ...still, typing: true })).toBeNull();
  expect(commandFor(acts, press('n'), { ...still, singleKeys: false })).toBeNull();
  expect(commandFor(acts, press('s', { ctrlKey: true }), { typing: true, singleKeys: false })?.id).toBe(
    'Ctrl+S',
  );
  expect(commandFor(acts, press('x'), still)).toBeNull();
});

it('keys that mean something in a field are left to it while somebody types', () => {
  const undo = { id: 'undo', label: 'Undo', keys: 'Ctrl+Z', restsWhileTyping: true, run: () => undefined };
  const own = { ...undo, id: 'own', restsWhileTyping: false };
  const pressed = { key: 'z', ctrlKey: true, metaKey: false, altKey: false };
  expect(commandFor([undo], pressed, { typing: false, singleKeys: false })?.id).toBe('undo');
  expect(commandFor([undo], pressed, { typing: true, singleKeys: true })).toBeNull();
  expect(commandFor([undo, own], pressed, { typing: true, singleKeys: true })?.id).toBe('own');
});

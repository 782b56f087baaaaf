import { sayer } from '@steady-scatter/words/say';
import { render } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { richly, TAGS } from './richly.tsx';

const { rich } = sayer({ 'test.set': 'Set <b>{control}</b> to <b>{mark}</b> now' });

it('what is tagged stands in markup, in its order, and nothing asks for keys', () => {
  const warned = vi.spyOn(console, 'error');
  const { container } = render(<p>{richly(rich('test.set', { ...TAGS, control: 'gate', mark: 12 }))}</p>);
  expect(container.innerHTML).toBe('<p>Set <b>gate</b> to <b>12</b> now</p>');
  expect(warned).not.toHaveBeenCalled();
  warned.mockRestore();
});

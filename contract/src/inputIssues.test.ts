import { expect, it, vi } from 'vitest';
import * as z from 'zod';
import { once } from './inputIssues.ts';

it('what is checked and then stored is worked out once', () => {
  const read = vi.fn(({ name }: { name: string }) => name.length);
  const lengthOf = once(read);
  const typed = z.strictObject({ name: z.string() }).superRefine((value) => void lengthOf(value));
  const write = z.strictObject({ version: z.int(), typed });
  const body = write.parse({ version: 0, typed: { name: 'Lawn' } });
  expect(lengthOf(body.typed)).toBe(4);
  expect(read).toHaveBeenCalledTimes(1);
  write.parse({ version: 0, typed: { name: 'Lawn' } });
  expect(read).toHaveBeenCalledTimes(2);
});

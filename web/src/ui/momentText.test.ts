import { expect, it, vi } from 'vitest';
import { momentText } from './momentText.ts';

it('is a time of today, and the day of any other', () => {
  vi.setSystemTime(new Date(2026, 3, 18, 16, 40));
  expect(momentText(new Date(2026, 3, 18, 9, 5).getTime()).replace(/\s/g, ' ')).toBe('9:05 AM');
  expect(momentText(new Date(2026, 3, 17, 23, 59).getTime())).toBe('17 Apr 2026');
  vi.useRealTimers();
});

import { act, renderHook, waitFor } from '@testing-library/react';
import { wrap } from 'comlink';
import { beforeEach, expect, it, vi } from 'vitest';
import { startWork, useWork } from './useWork.ts';

vi.mock('comlink', () => ({
  wrap: vi.fn((worker: FakeWorker) => worker.api),
  proxy: (call: unknown) => call,
}));

interface Api {
  double(number: number): Promise<number>;
}

/** A worker that answers when it is told to. */
class FakeWorker {
  static all: FakeWorker[] = [];
  isEnded = false;
  onError: () => void = () => undefined;
  answer: (value: number) => void = () => undefined;
  fail: () => void = () => undefined;
  readonly api: Api = {
    double: (number) =>
      new Promise((resolve, reject) => {
        this.answer = () => resolve(number * 2);
        this.fail = () => reject(new Error('broken'));
      }),
  };
  constructor() {
    FakeWorker.all.push(this);
  }
  addEventListener = (_: string, listener: () => void) => void (this.onError = listener);
  terminate = () => void (this.isEnded = true);
}
const open = () => new FakeWorker() as unknown as Worker;
const newest = () => FakeWorker.all.at(-1)!;
let onShare: (share: number) => void;
const using = (key: number | null) =>
  renderHook(
    ({ now }) =>
      useWork<Api, number>({ open, key: now }, (api, share) => {
        onShare = share;
        return api.double(now ?? 0);
      }),
    { initialProps: { now: key } },
  );
const begun = (count: number) => waitFor(() => expect(FakeWorker.all).toHaveLength(count));

beforeEach(() => {
  FakeWorker.all = [];
  vi.mocked(wrap).mockClear();
});

it('answers what is asked, tells how much is done, and ends its worker', async () => {
  const { result } = using(4);
  await begun(1);
  act(() => onShare(0.5));
  expect(result.current).toMatchObject({ share: 0.5, isCurrent: false, last: null });
  act(() => newest().answer(8));
  await waitFor(() => expect(result.current).toMatchObject({ last: 8, isCurrent: true, share: null }));
  expect(newest().isEnded).toBe(true);
  act(() => onShare(0.9));
  expect(result.current.share).toBeNull();
});

it('another question ends the work on the one before; its answer stays until the next comes', async () => {
  const { result, rerender } = using(1);
  await begun(1);
  act(() => newest().answer(2));
  await waitFor(() => expect(result.current.last).toBe(2));
  rerender({ now: 2 });
  await begun(2);
  rerender({ now: 3 });
  await begun(3);
  expect(FakeWorker.all.map(({ isEnded }) => isEnded)).toEqual([true, true, false]);
  expect(result.current).toMatchObject({ last: 2, isCurrent: false });
  act(() => newest().answer(6));
  await waitFor(() => expect(result.current).toMatchObject({ last: 6, isCurrent: true }));
});

it('what fails has no answer; what is stopped is not begun again; what is left is ended', async () => {
  const { result, rerender, unmount } = using(1);
  await begun(1);
  act(() => newest().fail());
  await waitFor(() => expect(result.current).toMatchObject({ last: null, isCurrent: true }));
  rerender({ now: 2 });
  await begun(2);
  act(() => result.current.stop());
  expect(newest().isEnded).toBe(true);
  rerender({ now: 3 });
  await begun(3);
  unmount();
  expect(newest().isEnded).toBe(true);
});

it('nothing asked begins nothing', () => {
  expect(using(null).result.current).toMatchObject({ last: null, isCurrent: false });
  expect(FakeWorker.all).toEqual([]);
});

it('a worker that cannot start is told', async () => {
  const { done } = startWork<Api, number>(open, (api) => api.double(1));
  newest().onError();
  await expect(done).rejects.toThrow('could not start');
});

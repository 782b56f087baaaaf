/** How often something drawn by chance is tried: a third of what is full in each run of the tests, ten times as often in the soak. */
export const tries = (full: number): number =>
  // oxlint-disable-next-line no-restricted-globals -- of tests alone
  Math.ceil(process.env['STEADY_SOAK'] ? full * 10 : full / 3);

/** How often something drawn by chance is tried: as often as each run of the tests has time for; ten times as full by the long way. */
export const tries = (full: number): number =>
  // oxlint-disable-next-line no-restricted-globals -- of tests alone
  Math.ceil(process.env['STEADY_SOAK'] ? full * 10 : full / 3);

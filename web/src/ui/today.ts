const two = (n: number) => String(n).padStart(2, '0');

/** A moment's day in the person's own time zone, as year-month-day. */
export const dayOf = (moment: Date): string =>
  `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`;

/** Today in the person's own time zone, as year-month-day. */
export const today = (): string => dayOf(new Date());

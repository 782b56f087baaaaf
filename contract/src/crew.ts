import * as z from 'zod';

/** Where the sign of a currency stands. */
export const CURRENCY_PLACES = ['before', 'after'] as const;

/** What a crew has settled for all of its devices. */
export const crewSettings = z.strictObject({
  /** What the crew is called; empty: not said. */
  name: z.string().trim().max(120),
  currency: z.strictObject({
    /** "$", "EUR"; empty: prices stand as bare figures. */
    symbol: z.string().trim().max(8),
    place: z.enum(CURRENCY_PLACES),
  }),
  /** Percent, as typed: what a new calibration begins with. */
  tolerance: z.string().trim().max(20),
  /** The day, month-day, on which the crew's own year starts: caps of a year count from it. */
  yearStart: z
    .string()
    .regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/)
    .refine((day) => day !== '02-29')
    .default('01-01'),
  /** Own cups and jugs with what they hold: "blue jug 64 fl oz, cup 8 fl oz"; empty: none. */
  measures: z.string().trim().max(400).default(''),
});
export type CrewSettings = z.infer<typeof crewSettings>;

/** Until somebody settles something else. */
export const USUAL_SETTINGS: CrewSettings = {
  name: '',
  currency: { symbol: '$', place: 'before' },
  tolerance: '5',
  yearStart: '01-01',
  measures: '',
};

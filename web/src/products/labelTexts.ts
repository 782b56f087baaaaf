import { RATE_AREAS } from '@steady-scatter/core/quantities';
import { HAND_WEIGHTS } from '../ui/unitChoices.ts';

const RATE_TOPS = { dry: HAND_WEIGHTS, liquid: ['fl oz', 'gal', 'L', 'mL'] } as const;

/** Units that the rates of a dry or a liquid product are typed in. */
export const rateUnits = <Form extends 'dry' | 'liquid'>(form: Form) =>
  RATE_TOPS[form].flatMap((top) =>
    (Object.keys(RATE_AREAS) as (keyof typeof RATE_AREAS)[]).map(
      (area) => `${top}/${area}` as `${(typeof RATE_TOPS)[Form][number]}/${typeof area}`,
    ),
  );

/** What is known of several things in one line; another line where nothing is. */
export const joined = (parts: readonly (string | false)[], none: string) =>
  parts.filter(Boolean).join(', ') || none;

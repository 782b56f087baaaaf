import { advice } from './advice.ts';
import { card } from './card.ts';
import { calendar } from './calendar.ts';
import { cautions } from './cautions.ts';
import { checks } from './checks.ts';
import { coarse } from './coarse.ts';
import { conditions } from './conditions.ts';
import { csv } from './csv.ts';
import { errors } from './errors.ts';
import { fresh } from './fresh.ts';
import { ground } from './ground.ts';
import { kinds } from './kinds.ts';
import { lookUp } from './lookUp.ts';
import { methods } from './methods.ts';
import { mix } from './mix.ts';
import { pattern } from './pattern.ts';
import { plan } from './plan.ts';
import { practice } from './practice.ts';
import { questions } from './questions.ts';
import { readings } from './readings.ts';
import { remarks } from './remarks.ts';
import { run } from './run.ts';
import { working } from './working.ts';

/** All that core has to say, by what it is about. */
export const CORE = {
  errors,
  kinds,
  readings,
  methods,
  working,
  ground,
  mix,
  checks,
  pattern,
  advice,
  remarks,
  plan,
  practice,
  coarse,
  fresh,
  lookUp,
  card,
  calendar,
  cautions,
  questions,
  csv,
  conditions,
  run,
} as const;

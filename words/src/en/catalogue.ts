import { bench } from './bench.ts';
import { common } from './common.ts';
import { CORE } from './core/index.ts';
import { ledger } from './ledger.ts';
import { limits } from './limits.ts';
import { log } from './log.ts';
import { looks } from './looks.ts';
import { load } from './load.ts';
import { people } from './people.ts';
import { photos } from './photos.ts';
import { plans } from './plans.ts';
import { record } from './record.ts';
import { report } from './report.ts';
import { rigs } from './rigs.ts';
import { rules } from './rules.ts';
import { sheet } from './sheet.ts';
import { server } from './server.ts';
import { shelf } from './shelf.ts';
import { shell } from './shell.ts';
import { sites } from './sites.ts';
import { testRun } from './testRun.ts';
import { things } from './things.ts';
import { today } from './today.ts';
import { walk } from './walk.ts';
import { width } from './width.ts';
import { winter } from './winter.ts';

/** All that is said in English, by the screens that say it. What runs takes one part of it: each screen loads its own. */
export const EN = {
  common,
  shell,
  sheet,
  ledger,
  limits,
  log,
  looks,
  load,
  people,
  photos,
  plans,
  record,
  report,
  today,
  walk,
  bench,
  testRun,
  shelf,
  rigs,
  rules,
  sites,
  width,
  winter,
  things,
  server,
  ...CORE,
} as const;

import { common } from './en/common.ts';
import { cautions } from './en/core/cautions.ts';
import { conditions } from './en/core/conditions.ts';
import { walk } from './en/walk.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(cautions, conditions);

/** What is said while a run is walked. */
export const { list, rich, say } = sayer({ ...common, ...walk });
export { nameOf, speak } from './speak.ts';

import { calendar } from './en/core/calendar.ts';
import { common } from './en/common.ts';
import { plans } from './en/plans.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(calendar);
/** What is said of the plan of a year. */
export const { say, list } = sayer({ ...common, ...plans });
export { speak } from './speak.ts';

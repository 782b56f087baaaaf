import { CORE } from './en/core/index.ts';
import { learn } from './speak.ts';

learn(...Object.values(CORE));

/** Says all that core has to say, whatever it is about: for the server, and for tests. */
export { nameOf, speak } from './speak.ts';

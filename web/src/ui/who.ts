import { browser } from './browserStores.ts';

const WHO = 'steady-scatter.who';

/** Who works on this device, as last said; empty: nobody said. */
export const whoWorks = (): string => browser.getItem(WHO) ?? '';

/** The device keeps who works on it, so that nobody says it twice. */
export const keepWho = (name: string): void => browser.setItem(WHO, name.trim());

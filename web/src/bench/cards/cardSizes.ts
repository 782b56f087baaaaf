import { say } from '@steady-scatter/words/bench';
/** Sizes to laminate, mm. */
export const CARD_SIZES = {
  a6: { words: say('bench.paper.a6'), width: 105, height: 148, page: { width: 105, height: 148 } },
  '4x6': { words: say('bench.paper.inch'), width: 101.6, height: 152.4, page: { width: 101.6, height: 152.4 } }, // prettier-ignore
  a4: { words: say('bench.paper.a4'), width: 105, height: 148, page: { width: 210, height: 297 } },
  letter: { words: say('bench.paper.letter'), width: 101.6, height: 152.4, page: { width: 215.9, height: 279.4 } }, // prettier-ignore
} as const;
export type CardSize = keyof typeof CARD_SIZES;

import type { Card } from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/bench';
/** Sizes to laminate, mm. */
export const CARD_SIZES = {
  a6: { words: say('bench.paper.a6'), width: 105, height: 148, page: { width: 105, height: 148 } },
  '4x6': { words: say('bench.paper.inch'), width: 101.6, height: 152.4, page: { width: 101.6, height: 152.4 } }, // prettier-ignore
  a4: { words: say('bench.paper.a4'), width: 105, height: 148, page: { width: 210, height: 297 } },
  letter: { words: say('bench.paper.letter'), width: 101.6, height: 152.4, page: { width: 215.9, height: 279.4 } }, // prettier-ignore
} as const;
export type CardSize = keyof typeof CARD_SIZES;

/** So many lines fill a card under its head. */
const LINES = 9;

/** Lines to write later checks on by hand: what the marks leave of the card, and two at least. */
export const checkLines = ({ lines, purpose }: Pick<Card, 'lines' | 'purpose'>): number =>
  Math.max(2, LINES - lines.length - (purpose === '' ? 0 : 1));

/** It has marks to set; what sprays as it is has none. */
export const hasChart = ({ lines }: Pick<Card, 'lines'>): boolean => lines.length > 0;

/** A mark that is a word and not a figure is written smaller. */
export const isLongMark = ({ setting }: Pick<Card, 'setting'>): boolean => setting.length > 4;

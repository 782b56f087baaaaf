/** Sizes to laminate, mm. */
export const CARD_SIZES = {
  a6: { words: 'A6, one to a sheet', width: 105, height: 148, page: { width: 105, height: 148 } },
  '4x6': { words: '4 × 6 in, one to a sheet', width: 101.6, height: 152.4, page: { width: 101.6, height: 152.4 } }, // prettier-ignore
  a4: { words: 'A4, four A6 to cut apart', width: 105, height: 148, page: { width: 210, height: 297 } },
  letter: { words: 'letter, two 4 × 6 in to cut apart', width: 101.6, height: 152.4, page: { width: 215.9, height: 279.4 } }, // prettier-ignore
} as const;
export type CardSize = keyof typeof CARD_SIZES;

/**
 * A product's name as it is compared: however it was typed.
 *
 * @example nameKey('  Lake  Feed ') // 'lake feed'
 */
export const nameKey = (name: string): string => name.replaceAll(/\s+/g, ' ').trim().toLowerCase();

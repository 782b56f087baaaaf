/**
 * Length of row on an area: `area / row spacing`.
 *
 * @param areaM2 m2, 0 or more
 * @param spacingM distance between rows, m, above 0
 * @returns m
 * @example rowLength(10_000, 1.5) // 6666.67 m on a hectare
 */
export const rowLength = (areaM2: number, spacingM: number): number => areaM2 / spacingM;

/**
 * Area that a length of row stands for: the same the other way round.
 *
 * @example rowArea(139.39, 1.5) // 209.09 m2
 */
export const rowArea = (lengthM: number, spacingM: number): number => lengthM * spacingM;

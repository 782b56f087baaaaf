/** What becomes of the width that whole passes do not fill: all are brought closer together, or the last one overlaps. */
export const LAST_PASS = ['even', 'overlap'] as const;
export type LastPass = (typeof LAST_PASS)[number];

/** What the best heading is: that with the fewest passes, or that which lays least beside the ground. */
export const HEADING_AIMS = ['fewest', 'least-off'] as const;
export type HeadingAim = (typeof HEADING_AIMS)[number];

/** Eight places round an area, as a compass has them. */
export const WINDS = ['n', 'ne', 'e', 'se', 's', 'sw', 'w', 'nw'] as const;
export type Wind = (typeof WINDS)[number];

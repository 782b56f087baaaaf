/** What lies on the ground: by itself, so that whoever names a surface needs no geometry. */
export const SURFACES = ['turf', 'bed', 'row-crop', 'pavement', 'gravel'] as const;
export type Surface = (typeof SURFACES)[number];

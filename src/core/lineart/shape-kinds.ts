/** What a region looks like, roughly: what decides how light falls on it when nobody says otherwise. */
export const SHAPE_KINDS = ['ball', 'tube', 'leaf', 'ring', 'strip', 'irregular'] as const;
export type ShapeKind = (typeof SHAPE_KINDS)[number];

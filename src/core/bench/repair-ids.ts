/** Ids of repairs begin so; no layer's does. */
export const REPAIR = 'repair-';

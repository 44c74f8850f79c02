/** primitives: ids, colours and places as every stored shape holds them. */
export type { PointMm } from './schemas.ts';

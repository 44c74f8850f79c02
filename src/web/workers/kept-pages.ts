import type { Region } from '../../core/lineart/index.ts';

/** A page as it comes: its regions with their raster, and the address of its picture. */
export interface PageAsStored {
  width: number;
  height: number;
  pixelsPerMm: number;
  labels: Uint16Array;
  regions: readonly Region[];
  picture: string;
}

/** So many pages are kept: the one on the desk and the one before it. */
export const MOST_PAGES = 2;

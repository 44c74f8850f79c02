/** What a made-up page is to have; everything follows from the seed. */
export interface MadeUp {
  seed: number;
  width: number;
  height: number;
  pixelsPerMm: number;
  /** About how many regions. */
  regions: number;
  /** Share of the regions that an outline gapes at. Default 0. */
  gaps?: number;
  /** Share of the regions that carry stipple or hatch. Default 0. */
  texture?: number;
  /** Grey of the ink, 0..255. Default 20. */
  ink?: number;
}

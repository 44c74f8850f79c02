import type { MainLight } from './schemas.ts';

/** Share of the light that comes from all round where there is a main light from a side. */
const ALL_ROUND = 0.28;
/** Light that comes back from below onto what turns away: it lifts the far rim above the core shadow. */
const REFLECTED = 0.3;
/** How much of the light that comes from all round a cast shadow takes too. */
const SHADOW_ALL_ROUND = 0.45;

/** How far soft light lifts the middle tones; how steeply light from behind falls off from the rim. Assumptions of craft. */
const SOFT_BEND = 0.35;
const RIM_POWER = 1.6;

/** How a light shades a surface: from where that faces to its tone, 0 (deepest shadow) to 1 (highlight). */
export type Shade = (nx: number, ny: number, nz: number, shadow: number) => number;

/**
 * What a main light does to a surface by the way it faces, as a unit vector (x to the right, y down, z to the viewer)
 * and by how much of a cast shadow lies on it, 0 to 1.
 * - soft light: by the sine of the slope, nearly even from edge to middle, so that bands of a family come out about
 *   equally wide; a craft's rule, not a law of light.
 * - from a side: Lambert's cosine law (J. H. Lambert, Photometria, 1760) for the main light, light from all round by
 *   how far a place is turned to the viewer, and reflected light on what is turned away, over the most that they can be.
 * - from behind: by the sine of the slope too, but the other way round: pale rims and dark middles.
 */
export function shadeOf(light: MainLight): Shade {
  if (light.kind === 'ambient') {
    return (nx, ny, _nz, shadow) => {
      const depth = 1 - Math.min(1, Math.hypot(nx, ny));
      return depth * (1 + SOFT_BEND - SOFT_BEND * depth) * (1 - SHADOW_ALL_ROUND * shadow);
    };
  }
  if (light.kind === 'behind') return (nx, ny) => Math.min(1, Math.hypot(nx, ny)) ** RIM_POWER;
  const azimuth = (light.azimuthDegrees * Math.PI) / 180;
  const height = (light.heightDegrees * Math.PI) / 180;
  const [lx, ly, lz] = [Math.cos(height) * Math.cos(azimuth), Math.cos(height) * Math.sin(azimuth), Math.sin(height)];
  const most = 1 - ALL_ROUND + ALL_ROUND * lz;
  return (nx, ny, nz, shadow) => {
    const facing = nx * lx + ny * ly + nz * lz;
    const direct = (1 - ALL_ROUND) * Math.max(0, facing) * (1 - shadow);
    const round = ALL_ROUND * nz * (1 - SHADOW_ALL_ROUND * shadow);
    const back = REFLECTED * Math.max(0, -facing) * (1 - nz);
    return Math.min(1, (direct + round + back) / most);
  };
}

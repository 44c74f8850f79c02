import { findRegions } from '../../lineart/index.ts';
import { type FormedThing, type Lighting, type MainLight } from '../index.ts';

const PER_MM = 10;
/** A page of white paper, 10 px per mm, with lines where `ink` says so. */
export async function drawn(width: number, height: number, ink: (x: number, y: number) => boolean) {
  const data = new Uint8Array(width * height).map((_, i) => (ink(i % width, Math.floor(i / width)) ? 10 : 250));
  return findRegions({ width, height, data }, { pixelsPerMm: PER_MM });
}
export type Drawn = Awaited<ReturnType<typeof drawn>>;

/** A disc of radius 100 px in the middle. */
export const disc = () => drawn(280, 280, (x, y) => Math.abs(Math.hypot(x - 140, y - 140) - 102) < 2);
/** A bar of 300 x 80 px, upright or lying. */
export const bar = (upright: boolean) =>
  drawn(400, 400, (x, y) => {
    const [a, b] = upright ? [y, x] : [x, y];
    const box = (m: number) => a >= 50 - m && a < 350 + m && b >= 160 - m && b < 240 + m;
    return box(3) && !box(0);
  });
/** A tile with a round lantern in it. */
export const lantern = () =>
  drawn(400, 400, (x, y) => {
    const r = Math.hypot(x - 200, y - 200);
    const edge = Math.min(x, y, 399 - x, 399 - y);
    return Math.abs(r - 42) < 2 || (edge >= 4 && edge < 7);
  });

export const soft: Lighting = { main: { kind: 'ambient' }, glows: [] };
export const from = (azimuthDegrees: number, heightDegrees: number): MainLight => ({
  kind: 'direction',
  azimuthDegrees,
  heightDegrees,
});
export const thing = (
  id: string,
  regionIds: number[],
  form = 'raised',
  material: string | null = null,
): FormedThing => ({
  id,
  regionIds,
  form,
  material,
  sources: [],
});
export const at = ({ width }: { width: number }, field: Uint8Array, x: number, y: number) => field[y * width + x]!;
export const labelAt = (page: Drawn, x: number, y: number) => page.grown[y * page.width + x]!;

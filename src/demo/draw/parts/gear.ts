import { type Drawing, type P, oval, polar, sector } from '../kit/index.ts';

export interface GearShape {
  teeth: number;
  /** Radius to the root of the teeth, mm. */
  radius: number;
  spokes: number;
  turn: number;
}

/** A toothed wheel with spokes, seen through: the openings show what is behind. */
export function gear(d: Drawing, thing: string, c: P, { teeth, radius, spokes, turn }: GearShape): void {
  const step = 360 / teeth;
  const high = Math.min(2.6, (radius * Math.PI) / teeth);
  const rim = Array.from({ length: teeth }, (_, i) => {
    const a = turn + i * step;
    return [polar(c, radius, a), polar(c, radius, a + step * 0.44), polar(c, radius + high, a + step * 0.54), polar(c, radius + high, a + step * 0.88)];
  }).flat();
  d.as(thing, 0.44, () => d.shape(rim));
  const [hub, inner] = [radius * 0.24, radius * 0.78];
  d.as('works behind', 0.36, () => {
    const gap = 360 / spokes;
    for (let i = 0; i < spokes; i++) {
      const a = turn + i * gap;
      const narrow = (14 / spokes) * 3;
      d.shape([...sector(c, radius * 0.4, inner, a + narrow, a + gap - narrow)]);
    }
  });
  d.as(thing, 0.34, () => d.shape(oval(c, hub)));
  d.as('rivets', 0.34, () => d.shape(oval(c, hub * 0.45)));
}

import { type Region, type RgbaImage, distanceTo } from '../lineart/index.ts';
import { type Form } from './forms/index.ts';
import type { MainLight } from './schemas.ts';
import { pageFields } from './page-fields.ts';

/** Lines of equal value in a sketch. */
const LINES = 6;

/**
 * A form as it is sketched: a plain outline in greys with lines of equal value, under a light. Forms that lean across
 * are shown on a lens, backgrounds on a card, all others on a disc.
 * @param size side in pixels; beside the outline it is clear
 */
export function formSketch(form: Form, main: MainLight, size: number): RgbaImage {
  const inside = Uint8Array.from({ length: size * size }, (_, i) =>
    Number(within(form, i % size, Math.floor(i / size), size)),
  );
  const distance = distanceTo(
    inside.map((is) => 1 - is),
    size,
    size,
  );
  const region = { id: 1, box: { left: 0, top: 0, right: size, bottom: size } } as Region;
  const page = {
    width: size,
    height: size,
    pixelsPerMm: 1,
    grown: Uint16Array.from(inside),
    distance,
    regions: [region],
  };
  const thing = { id: 'sketch', regionIds: [1], form: form.id, material: null, sources: [] };
  const { tone } = pageFields(page, [thing], { main, glows: [] });
  const data = new Uint8ClampedArray(4 * size * size);
  const level = (i: number) => Math.floor((tone[i]! * LINES) / 256);
  for (let i = 0; i < inside.length; i++) {
    if (!inside[i]) continue;
    const line = distance[i]! > 1.5 && (level(i) !== level(i - 1) || level(i) !== level(i - size));
    const edge = distance[i]! <= 1.5;
    data.fill(edge ? 40 : 70 + (tone[i]! * 178) / 255 - (line ? 44 : 0), 4 * i, 4 * i + 3);
    data[4 * i + 3] = 255;
  }
  return { width: size, height: size, data };
}

function within({ leans, fades, falls }: Form, x: number, y: number, size: number): boolean {
  const [dx, dy] = [(2 * (x + 0.5)) / size - 1, (2 * (y + 0.5)) / size - 1];
  if (fades || falls) return Math.max(Math.abs(dx), Math.abs(dy)) < SKETCH.square;
  const { length, breadth } = SKETCH.tube;
  if (leans === 'across') return Math.abs(dy) < breadth * Math.sqrt(Math.max(0, 1 - (dx / length) ** 2));
  return Math.hypot(dx, dy) < SKETCH.disc;
}

/** Half the size of what is sketched, as shares of half the picture. */
const SKETCH = { square: 0.92, tube: { length: 0.97, breadth: 0.62 }, disc: 0.95 };

import sharp from 'sharp';
import { type Plan, emptyPlan, newThing } from '../src/contracts/index.ts';
import { type PageIndex, findRegions } from '../src/core/lineart/index.ts';
import { FORMS, MATERIALS } from '../src/core/light/index.ts';
import { seededRandom } from '../src/core/random/index.ts';
import { frontToBack } from '../src/plan/index.ts';

/** A page of made-up things before a palette is given to it. */
export interface ComposedPage {
  name: string;
  plan: Plan;
  map: PageIndex;
}

const PAGE = { widthMm: 148, heightMm: 210 };
const PIXELS_PER_MM = 6;
/** Across what things are drawn, mm. */
const SIZES = [3, 8, 20, 60];
const MADE_OF = MATERIALS.filter(({ overhead, mirrors }) => !overhead && !mirrors).map(({ id }) => id);

/**
 * A page by seed: a sky or a wall, ground or water, and things of every size, form and material before them, some with
 * ornaments on them, under a light of its own.
 */
export async function composedPage(seed: number): Promise<ComposedPage> {
  const random = seededRandom(seed);
  const among = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)];
  const horizon = Math.round(PAGE.heightMm * (0.35 + 0.3 * random()));
  const drawn: { name: string; svg: string; at: [number, number]; material: string | null; form: string | null }[] = [];
  const { widthMm: w, heightMm: h } = PAGE;
  drawn.push({
    name: 'above',
    svg: box(2, 2, w - 4, horizon - 2),
    at: [3, 3],
    material: among(['sky', 'paper']),
    form: null,
  });
  drawn.push({
    name: 'below',
    svg: box(2, horizon, w - 4, h - horizon - 2),
    at: [3, h - 3],
    material: among(['water', 'stone', 'snow', 'wood']),
    form: null,
  });
  const taken: [number, number, number][] = [];
  for (let tries = 0; drawn.length < 26 && tries < 400; tries++) {
    const size = SIZES[Math.min(SIZES.length - 1, Math.floor(random() ** 1.6 * SIZES.length))];
    const [x, y] = [8 + size / 2 + random() * (w - 16 - size), 8 + size / 2 + random() * (h - 16 - size)];
    if (taken.some(([tx, ty, ts]) => Math.hypot(tx - x, ty - y) < (ts + size) / 2 + 2)) continue;
    taken.push([x, y, size]);
    const material = random() < 0.15 ? null : among(MADE_OF);
    const form = random() < 0.5 ? null : among(FORMS.filter(({ fades }) => !fades)).id;
    const shape = among([ellipse, blade, tile]);
    const ornaments = size >= 20 && random() < 0.6;
    // Ornaments lie off the middle, by which a thing is told.
    const at: [number, number] = [x, y];
    drawn.push({ name: `thing ${drawn.length - 1}`, svg: shape(x, y, size), at, material, form });
    if (ornaments) {
      const across = size / 8;
      for (const [dx, dy] of [
        [-0.22, 0],
        [0.22, 0],
        [0, 0.22],
      ]) {
        const place: [number, number] = [x + dx * size, y + dy * size];
        drawn.push({
          name: `dot ${drawn.length}`,
          svg: ellipse(...place, across, 1),
          at: place,
          material: null,
          form: 'dome',
        });
      }
    }
  }
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${w} ${h}" width="${w}" height="${h}"><rect width="100%" height="100%" fill="#fff"/><g fill="#fff" stroke="#111" stroke-width="0.5">${drawn.map((each) => each.svg).join('')}</g></svg>`;
  const { data, info } = await sharp(Buffer.from(svg), { density: 72 * PIXELS_PER_MM })
    .resize(w * PIXELS_PER_MM, h * PIXELS_PER_MM)
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const grey = { width: info.width, height: info.height, data: new Uint8Array(data) };
  const map = await findRegions(grey, { pixelsPerMm: PIXELS_PER_MM });
  const owned = new Set<number>();
  const things = drawn.flatMap(({ name, at: [x, y], material, form }, i) => {
    const id = map.labels[Math.floor(y * PIXELS_PER_MM) * info.width + Math.floor(x * PIXELS_PER_MM)];
    if (!id || owned.has(id)) return [];
    owned.add(id);
    return [newThing({ id: `t${i}`, name, regionIds: [id], material, form })];
  });
  const lights: Plan['light'][] = [
    { kind: 'ambient' },
    { kind: 'direction', azimuthDegrees: Math.round(360 * random()), heightDegrees: 45 },
    { kind: 'behind' },
  ];
  const plan = {
    ...emptyPlan({ ...PAGE, paper: 'white-book' }),
    things: frontToBack(things.reverse()),
    light: lights[seed % 5 === 4 ? 2 : seed % 2],
  };
  return { name: `composed ${seed}`, plan, map };
}

function box(x: number, y: number, width: number, height: number): string {
  return `<rect x="${x}" y="${y}" width="${width}" height="${height}"/>`;
}

function ellipse(x: number, y: number, size: number, flat = 0.8): string {
  return `<ellipse cx="${x}" cy="${y}" rx="${size / 2}" ry="${(flat * size) / 2}"/>`;
}

function blade(x: number, y: number, size: number): string {
  const [r, b] = [size / 2, size / 4];
  return `<path d="M${x - r} ${y} Q${x} ${y - 2 * b} ${x + r} ${y} Q${x} ${y + 2 * b} ${x - r} ${y}Z"/>`;
}

function tile(x: number, y: number, size: number): string {
  return box(x - size / 2, y - size / 3, size, size / 1.5);
}

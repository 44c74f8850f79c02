import { type PointMm } from '../lineart/index.ts';
import { type Bodies } from './bodies.ts';
import { type Form } from './forms/index.ts';
import { type HighlightEdge } from './materials.ts';
import { type PageGeometry } from './page.ts';

/** A highlight on something shiny: a shape of its own, whatever its surroundings are. */
export interface Highlight {
  /** The regions that it lies on: one, or all of a thing that is one body. */
  regionIds: readonly number[];
  at: PointMm;
  lengthMm: number;
  widthMm: number;
  /** Direction of its length, degrees clockwise from +x. */
  degrees: number;
  /** Hard: no layer enters. Soft: the lightest whispers in. */
  edge: HighlightEdge;
}

/** Half its width as a share of the way from edge to middle, by its edge, and how wide it is at least and at most, mm. */
const SHARE: Readonly<Record<HighlightEdge, number>> = { hard: 0.24, soft: 0.4 };
const LEAST_MM = 0.5;
const MOST_MM: Readonly<Record<HighlightEdge, number>> = { hard: 3, soft: 6 };
/** As long as so many times its width, and on what has a long axis so long a share of that. */
const LONGER = 1.5;
const OF_AXIS = 0.5;
/** What is darker than this has none, 0..255: it lies in shadow. */
const LIT = 128;
/** All beside a hard highlight is darker than it by this factor, so that zones that stop short of it stop at its edge. */
const BESIDE = 0.92;
/** The part of a soft highlight, from its middle, that is all light. */
const CORE = 0.3;
/** Where places are equally light, those nearer the middle win, by so much of 255 over the way to the edge. */
const TOWARDS_MIDDLE = 16;

/**
 * Finds the highlight of each body where its tone is greatest, and writes it into the tone. Bodies that lie in shadow
 * have none; the smallest keep one.
 * @param regionIds of the bodies: where a form is laid over regions, in the order of these
 * @param tone of the page, 0..255
 */
export function layHighlights(
  page: PageGeometry,
  { box, body, distance, reach, axes }: Bodies,
  form: Form,
  regionIds: readonly number[],
  edge: HighlightEdge,
  tone: Uint8Array,
): Highlight[] {
  const width = box.right - box.left;
  const best = Array.from(reach, () => ({ score: -1, x: 0, y: 0, tone: 0 }));
  each((id, x, y, i) => {
    const score = tone[i]! + TOWARDS_MIDDLE * Math.min(1, distance[y * width + x]! / reach[id]!);
    if (score > best[id]!.score) best[id] = { score, x, y, tone: tone[i]! };
  });
  const perMm = page.pixelsPerMm;
  const shapes = best.map(({ score, x, y, tone: lightest }, id): Shape | null => {
    if (score < 0 || lightest < LIT || id === 0) return null;
    const wide = Math.min(MOST_MM[edge] / 2, SHARE[edge] * (reach[id]! / perMm)) * perMm;
    const half = Math.max(wide, Math.min((LEAST_MM / 2) * perMm, reach[id]! / 2));
    const axis = axes[id];
    const long = axis ? Math.max(LONGER * half, (OF_AXIS * axis.least.length) / 2) : LONGER * half;
    return { x, y, half, long, cos: axis?.cos ?? Math.SQRT1_2, sin: axis?.sin ?? -Math.SQRT1_2 };
  });
  each((id, x, y, i) => {
    const shape = shapes[id];
    if (!shape) return;
    const [dx, dy] = [x - shape.x, y - shape.y];
    const away = Math.hypot(
      (dx * shape.cos + dy * shape.sin) / shape.long,
      (dy * shape.cos - dx * shape.sin) / shape.half,
    );
    if (edge === 'hard') tone[i] = away <= 1 ? 255 : BESIDE * tone[i]!;
    else if (away < 1) tone[i]! += (255 - tone[i]!) * (1 - Math.max(0, (away - CORE) / (1 - CORE)));
  });
  return shapes.flatMap((shape, id) => {
    if (!shape) return [];
    const { x, y, half, long, cos, sin } = shape;
    return [
      {
        regionIds: form.over === 'region' ? [regionIds[id - 1]!] : regionIds,
        at: { x: (box.left + x + 0.5) / perMm, y: (box.top + y + 0.5) / perMm },
        lengthMm: (2 * long) / perMm,
        widthMm: (2 * half) / perMm,
        degrees: (Math.atan2(sin, cos) * 180) / Math.PI,
        edge,
      },
    ];
  });

  function each(look: (id: number, x: number, y: number, i: number) => void) {
    for (let y = 0, o = 0; y < box.bottom - box.top; y++) {
      for (let x = 0, i = (box.top + y) * page.width + box.left; x < width; x++, i++, o++) {
        if (body[o]! > 0) look(body[o]!, x, y, i);
      }
    }
  }
}

interface Shape {
  x: number;
  y: number;
  half: number;
  long: number;
  cos: number;
  sin: number;
}

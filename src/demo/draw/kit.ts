import { seededRandom } from '../../core/random/index.ts';

/** A point on the sheet, mm from its top left corner, y down. */
export type P = readonly [x: number, y: number];

/** One inked shape: a closed outline on white that hides what lies behind it, or an open line on top. */
interface Mark {
  points: P[];
  closed: boolean;
  thing: string;
  weight: number;
}

/** How far a hand-drawn line strays from its rule, mm. */
const STRAY = 0.16;
const SAMPLE = 1.1;

/**
 * A page drawn back to front: every closed shape hides what is behind it, so overlaps read as depth and outlines are
 * closed by construction. Lines waver a little, as a hand's do; the same seed draws the same page.
 */
export class Drawing {
  readonly width: number;
  readonly height: number;
  readonly random: () => number;
  readonly #marks: Mark[] = [];
  #thing = '';
  #weight = 0.4;

  constructor(width: number, height: number, seed: number) {
    this.width = width;
    this.height = height;
    this.random = seededRandom(seed);
  }

  /** Draws what `how` draws as part of this thing, with lines of this weight (mm). */
  as(thing: string, weight: number, how: () => void): void {
    const before = [this.#thing, this.#weight] as const;
    [this.#thing, this.#weight] = [thing, weight];
    how();
    [this.#thing, this.#weight] = before;
  }

  /** A number in from..to. */
  between(from: number, to: number): number {
    return from + (to - from) * this.random();
  }

  /** A closed shape with straight sides and corners at the points. */
  poly(...corners: P[]): void {
    this.#add(
      corners.flatMap((p, i) => this.#side(p, corners[(i + 1) % corners.length])),
      true,
    );
  }

  /** A closed shape that runs smoothly through the points. */
  blob(...through: P[]): void {
    this.#add(spline([...through], true), true);
  }

  /** A closed shape of smooth sides that meet in corners: each side runs through its points, the next begins where it ends. */
  sides(...sides: P[][]): void {
    this.#add(
      sides.flatMap((side) => spline(side, false).slice(0, -1)),
      true,
    );
  }

  ellipse(cx: number, cy: number, rx: number, ry: number, tilt = 0): void {
    this.#add(ring(cx, cy, rx, ry, tilt), true);
  }

  /** An open line, straight between the points. */
  line(...points: P[]): void {
    this.#add(
      [...points.slice(0, -1).flatMap((p, i) => this.#side(p, points[i + 1])), points[points.length - 1]],
      false,
    );
  }

  /** An open line that runs smoothly through the points. */
  curve(...through: P[]): void {
    this.#add(spline([...through], false), false);
  }

  /** The page as it is printed. */
  toSvg(title: string): string {
    const marks = this.#marks.map(({ points, closed, weight }) => {
      const fill = closed ? '#fff' : 'none';
      const stroke = weight > 0 ? `stroke-width="${weight.toFixed(2)}"` : 'stroke="none"';
      return `<path d="${pathOf(points, closed)}" fill="${fill}" ${stroke}/>`;
    });
    return svg(this, `<title>${title}</title><rect width="100%" height="100%" fill="#fff"/>`, marks);
  }

  /** The key of the page: the same shapes, each filled with its thing's mark. */
  toKeySvg(markOf: (thing: string) => string): string {
    const marks = this.#marks
      .filter((mark) => mark.closed)
      .map(({ points, thing }) => `<path d="${pathOf(points, true)}" fill="${markOf(thing)}" stroke="none"/>`);
    return svg(this, '<rect width="100%" height="100%" fill="#000"/>', marks, ' shape-rendering="crispEdges"');
  }

  #side(a: P, b: P): P[] {
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const pieces = Math.max(1, Math.round(length / (6 * SAMPLE)));
    const [nx, ny] = [-(b[1] - a[1]) / (length || 1), (b[0] - a[0]) / (length || 1)];
    return Array.from({ length: pieces }, (_, i): P => {
      const t = i / pieces;
      const off = i === 0 ? 0 : (this.random() - 0.5) * 2 * STRAY;
      return [a[0] + (b[0] - a[0]) * t + nx * off, a[1] + (b[1] - a[1]) * t + ny * off];
    });
  }

  #add(points: P[], closed: boolean): void {
    // A hand leans harder on some lines than on others.
    const weight = this.#weight * this.between(0.88, 1.14);
    this.#marks.push({ points, closed, thing: this.#thing, weight });
  }
}

function svg({ width, height }: Drawing, ground: string, marks: string[], extra = ''): string {
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    ground,
    `<g stroke="#111" stroke-linejoin="round" stroke-linecap="round"${extra}>`,
    ...marks,
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}

function pathOf(points: readonly P[], closed: boolean): string {
  const [first, ...rest] = points.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`);
  return `M${first}L${rest.join(' ')}${closed ? 'Z' : ''}`;
}

/** Points around an ellipse, clockwise from its right, turned by `tilt` degrees. */
export function ring(cx: number, cy: number, rx: number, ry: number, tilt = 0): P[] {
  const n = Math.max(14, Math.round((Math.PI * (rx + ry)) / SAMPLE));
  const [c, s] = [Math.cos((tilt * Math.PI) / 180), Math.sin((tilt * Math.PI) / 180)];
  return Array.from({ length: n }, (_, i): P => {
    const a = (2 * Math.PI * i) / n;
    const [x, y] = [rx * Math.cos(a), ry * Math.sin(a)];
    return [cx + x * c - y * s, cy + x * s + y * c];
  });
}

/** A Catmull-Rom spline through the points, sampled about every millimetre. */
export function spline(points: readonly P[], closed: boolean): P[] {
  const n = points.length;
  const at = (i: number): P => (closed ? points[(i + n) % n] : points[Math.min(n - 1, Math.max(0, i))]);
  const out: P[] = [];
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const pieces = Math.max(2, Math.round(Math.hypot(p2[0] - p1[0], p2[1] - p1[1]) / SAMPLE));
    for (let k = 0; k < pieces; k++) out.push(catmullRom(p0, p1, p2, p3, k / pieces));
  }
  return closed ? out : [...out, points[n - 1]];
}

function catmullRom(p0: P, p1: P, p2: P, p3: P, t: number): P {
  const mix = (a: number, b: number, c: number, d: number) =>
    0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t * t * t);
  return [mix(p0[0], p1[0], p2[0], p3[0]), mix(p0[1], p1[1], p2[1], p3[1])];
}

/** The point a share `t` of the way from a to b. */
export function along(a: P, b: P, t: number): P {
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
}

/** A point of a rope that hangs between a and b, sagging by `sag` in the middle. */
export function hanging(a: P, b: P, sag: number, t: number): P {
  const [x, y] = along(a, b, t);
  return [x, y + 4 * sag * t * (1 - t)];
}

import { seededRandom } from '../../../core/random/index.ts';
import { type Noise, smoothNoise } from './noise.ts';
import { type P, resample, simplified } from './path.ts';

/** One element of the page, back to front. */
type Mark =
  | { kind: 'shape'; id: number; thing: string; weight: number; points: P[]; inside: Mark[] }
  | { kind: 'line'; points: P[]; widths: number[] }
  | { kind: 'dot'; at: P; radius: number }
  | { kind: 'rubbed'; at: P; radius: number };

/** A break in a printed line, made on purpose. */
export interface Gap {
  at: P;
  mm: number;
}

/** Where and how something is placed: moved to `at`, turned by degrees, sized, mirrored. */
export interface Placing {
  at: P;
  turn?: number;
  size?: number;
  mirrored?: boolean;
}

export interface DrawingOptions {
  width: number;
  height: number;
  seed: number;
  /** The printed line's colour. */
  ink?: string;
  /** How far lines stray from their rule, mm. */
  stray?: number;
}

/** Lines are heavier on the side that faces away from the upper left, by this share of their weight. */
const SHADE = 0.55;
const TOLERANCE = 0.012;
/** Finer lines break up in print, mm. */
const FINEST = 0.13;

/**
 * A page drawn back to front: every closed shape is white and hides what is behind it, so overlaps read as depth and
 * outlines are closed by construction. What is drawn inside a shape is cut off at its outline. Lines waver with their
 * place on the page, so that edges drawn twice stay together; the same seed draws the same page.
 */
export class Drawing {
  readonly width: number;
  readonly height: number;
  readonly random: () => number;
  readonly gaps: Gap[] = [];
  readonly #ink: string;
  readonly #stray: readonly [Noise, Noise, Noise, Noise];
  readonly #pressure: Noise;
  readonly #amount: number;
  #marks: Mark[] = [];
  #shapes = 0;
  #thing = '';
  #weight = 0.4;
  #placed: (p: P) => P = (p) => p;
  #scale = 1;

  constructor({ width, height, seed, ink = '#161616', stray = 0.22 }: DrawingOptions) {
    [this.width, this.height, this.#ink, this.#amount] = [width, height, ink, stray];
    this.random = seededRandom(seed);
    this.#stray = [smoothNoise(15, seed), smoothNoise(15, seed + 1), smoothNoise(4.5, seed + 2), smoothNoise(4.5, seed + 3)];
    this.#pressure = smoothNoise(11, seed + 4);
  }

  /** A number in from..to. */
  between(from: number, to: number): number {
    return from + (to - from) * this.random();
  }

  /** Draws what `how` draws as part of this thing, with lines of this weight (mm). */
  as(thing: string, weight: number, how: () => void): void {
    const before = [this.#thing, this.#weight] as const;
    [this.#thing, this.#weight] = [thing, weight];
    how();
    [this.#thing, this.#weight] = before;
  }

  /** Draws what `how` draws about the origin at another place, turned, sized or mirrored. Line weights stay. */
  place({ at, turn = 0, size = 1, mirrored = false }: Placing, how: () => void): void {
    const [outer, outerScale] = [this.#placed, this.#scale];
    const [c, s] = [Math.cos((turn * Math.PI) / 180) * size, Math.sin((turn * Math.PI) / 180) * size];
    this.#placed = ([x, y]) => {
      const u = mirrored ? -x : x;
      return outer([at[0] + u * c - y * s, at[1] + u * s + y * c]);
    };
    this.#scale = outerScale * size;
    how();
    [this.#placed, this.#scale] = [outer, outerScale];
  }

  /** A closed shape, and what is drawn on it, cut off at its outline. */
  shape(points: readonly P[], inside?: () => void): void {
    const mark: Mark = {
      kind: 'shape',
      id: this.#shapes++,
      thing: this.#thing,
      weight: this.#weight,
      points: this.#drawn([...points, points[0]]),
      inside: [],
    };
    this.#marks.push(mark);
    if (!inside) return;
    const outer = this.#marks;
    this.#marks = mark.inside;
    inside();
    this.#marks = outer;
  }

  /** White without an outline, hiding what is behind it. */
  patch(points: readonly P[], inside?: () => void): void {
    const weight = this.#weight;
    this.#weight = 0;
    this.shape(points, inside && (() => this.as(this.#thing, weight, inside)));
    this.#weight = weight;
  }

  /** An open line that swells from a thin start and thins out again; `ends` is their share of the full weight. */
  line(points: readonly P[], ends = 0.45): void {
    const drawn = this.#drawn(points);
    const widths = drawn.map((p, i) => {
      const t = i / Math.max(1, drawn.length - 1);
      const swell = ends + (1 - ends) * Math.sqrt(Math.sin(Math.PI * Math.min(1, Math.max(0, t))));
      return Math.max(FINEST, this.#weight * swell * (1 + 0.18 * this.#pressure(...p)));
    });
    this.#marks.push({ kind: 'line', points: drawn, widths });
  }

  /** A line of even weight that runs into what it touches. */
  rule(points: readonly P[]): void {
    this.line(points, 0.85);
  }

  dot(at: P, radius: number): void {
    this.#marks.push({ kind: 'dot', at: this.#stray2(this.#placed(at)), radius: radius * this.#scale });
  }

  /** A small break in whatever line passes here, as worn plates print. */
  gap(at: P, mm: number): void {
    const drawn = this.#stray2(this.#placed(at));
    this.gaps.push({ at: drawn, mm });
    this.#marks.push({ kind: 'rubbed', at: drawn, radius: mm / 2 });
  }

  /** The page as it is printed; `whole` leaves the gaps out, as the artist drew it. */
  toSvg(title: string, { whole = false } = {}): string {
    const shapes: string[] = [];
    const body = this.#marks.map((mark) => this.#printed(mark, shapes, whole)).join('\n');
    return this.#svg(
      `<title>${title}</title><defs>\n${shapes.join('\n')}\n</defs><rect width="100%" height="100%" fill="#fff"/>`,
      `<g fill="${this.#ink}" stroke="${this.#ink}" stroke-width="0" stroke-linejoin="round" stroke-linecap="round">\n${body}\n</g>`,
    );
  }

  /** The key of the page: the same shapes, each filled with its thing's mark. */
  toKeySvg(markOf: (thing: string) => string): string {
    const shapes: string[] = [];
    const keyed = (mark: Mark): string => {
      if (mark.kind !== 'shape') return '';
      shapes.push(
        definition(
          mark,
          mark.inside.some((m) => m.kind === 'shape'),
        ),
      );
      const inside = mark.inside.map(keyed).filter(Boolean).join('\n');
      const own = `<use href="#s${mark.id}" fill="${markOf(mark.thing)}"/>`;
      return inside ? `${own}<g clip-path="url(#c${mark.id})">\n${inside}\n</g>` : own;
    };
    const body = this.#marks.map(keyed).filter(Boolean).join('\n');
    return this.#svg(`<defs>\n${shapes.join('\n')}\n</defs><rect width="100%" height="100%" fill="#000"/>`, `<g shape-rendering="crispEdges">\n${body}\n</g>`);
  }

  /** Things in the order in which they were first drawn, back to front. */
  things(): string[] {
    const seen = new Set<string>();
    const look = (mark: Mark) => {
      if (mark.kind !== 'shape') return;
      if (mark.thing) seen.add(mark.thing);
      mark.inside.forEach(look);
    };
    this.#marks.forEach(look);
    return [...seen];
  }

  #drawn(points: readonly P[]): P[] {
    const placed = points.map(this.#placed);
    return simplified(
      resample(placed).map((p) => this.#stray2(p)),
      TOLERANCE,
    );
  }

  #stray2([x, y]: P): P {
    const [a, b, c, d] = this.#stray;
    const k = this.#amount;
    return [x + k * (a(x, y) + 0.35 * c(x, y)), y + k * (b(x, y) + 0.35 * d(x, y))];
  }

  #printed(mark: Mark, shapes: string[], whole: boolean): string {
    switch (mark.kind) {
      case 'dot':
        return `<circle cx="${mm(mark.at[0])}" cy="${mm(mark.at[1])}" r="${mm(mark.radius)}"/>`;
      case 'rubbed':
        return whole ? '' : `<circle cx="${mm(mark.at[0])}" cy="${mm(mark.at[1])}" r="${mm(mark.radius)}" fill="#fff"/>`;
      case 'line':
        return `<path d="${swelling(mark.points, mark.widths)}" stroke-width="${mm(Math.min(...mark.widths))}"/>`;
      case 'shape': {
        const [x, y] = mark.points[0];
        const weight = mark.weight * (1 + 0.16 * this.#pressure(x, y));
        shapes.push(definition(mark, mark.inside.length > 0));
        const use = (attributes: string) => `<use href="#s${mark.id}"${attributes}/>`;
        const shade = mark.weight * SHADE;
        const parts = [
          mark.weight > 0 && use(` x="${mm(shade * 0.6)}" y="${mm(shade * 0.8)}" stroke-width="${mm(weight * 0.82)}"`),
          use(' fill="#fff"'),
          mark.inside.length > 0 && `<g clip-path="url(#c${mark.id})">\n${mark.inside.map((m) => this.#printed(m, shapes, whole)).join('\n')}\n</g>`,
          mark.weight > 0 && use(` fill="none" stroke-width="${mm(weight * 0.82)}"`),
        ];
        return parts.filter(Boolean).join('');
      }
    }
  }

  #svg(head: string, body: string): string {
    const { width, height } = this;
    return [`<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`, head, body, '</svg>', ''].join(
      '\n',
    );
  }
}

function definition({ id, points }: { id: number; points: readonly P[] }, clips: boolean): string {
  const path = `<path id="s${id}" d="${pathOf(points, true)}"/>`;
  return clips ? `<clipPath id="c${id}">${path}</clipPath>` : path;
}

function mm(value: number): string {
  return String(Math.round(value * 100) / 100);
}

/** Path data in steps of a hundredth of a millimetre. */
function pathOf(points: readonly P[], closed: boolean): string {
  let [px, py] = [0, 0];
  const steps = points.map(([x, y]) => {
    const [rx, ry] = [Math.round(x * 100), Math.round(y * 100)];
    const step = `${(rx - px) / 100} ${(ry - py) / 100}`;
    [px, py] = [rx, ry];
    return step;
  });
  return `m${steps.join(' ')}${closed ? 'z' : ''}`;
}

/** The outline of a line whose width changes along it; a stroke of its least width rounds joins and ends. */
function swelling(points: readonly P[], widths: readonly number[]): string {
  const least = Math.min(...widths);
  const left: P[] = [];
  const right: P[] = [];
  for (const [i, [x, y]] of points.entries()) {
    const [a, b] = [points[Math.max(0, i - 1)], points[Math.min(points.length - 1, i + 1)]];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const half = Math.max(0.005, (widths[i] - least) / 2);
    const [nx, ny] = [(-(b[1] - a[1]) / length) * half, ((b[0] - a[0]) / length) * half];
    left.push([x + nx, y + ny]);
    right.push([x - nx, y - ny]);
  }
  return pathOf([...left, ...right.reverse()], true);
}

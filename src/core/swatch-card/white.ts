import { Matrix, solve } from 'ml-matrix';
import { CARD_MM, type CardBox } from './layout.ts';

/** Light of red, green and blue, 0..1 and linear. */
export type Light = readonly [number, number, number];

/** A place lighter or darker than the surface by more than this, in logarithms, does not show bare paper. */
const STRAY = 0.1;
const ROUNDS = 3;

/**
 * How bright bare paper is at every place of a card: a smooth surface of the second degree through the logarithms of
 * places that show it (least squares), which is what one lamp, a lens and a slope of the table make. Places that do not
 * fit, where a stroke runs over, are left out.
 * @returns the light at a place, mm from the first mark
 */
export function fittedWhite(places: readonly { box: CardBox; light: Light }[]): (x: number, y: number) => Light {
  const channels = [0, 1, 2].map((k) => surfaceThrough(places.map(({ box, light }) => ({ box, value: light[k]! }))));
  return (x, y) => channels.map((at) => Math.exp(at(x, y))) as unknown as Light;
}

function surfaceThrough(places: readonly { box: CardBox; value: number }[]): (x: number, y: number) => number {
  let used = places.map(({ box, value }) => ({
    terms: termsAt(box.x + box.width / 2, box.y + box.height / 2),
    log: Math.log(Math.max(1e-4, value)),
  }));
  let weights: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const found = solve(
      new Matrix(used.map(({ terms }) => terms)),
      Matrix.columnVector(used.map(({ log }) => log)),
      true,
    );
    weights = found.to1DArray();
    const near = used.filter(({ terms, log }) => Math.abs(log - dot(terms, weights)) < STRAY);
    if (near.length === used.length || near.length < 2 * weights.length) break;
    used = near;
  }
  return (x, y) => dot(termsAt(x, y), weights);
}

function termsAt(x: number, y: number): number[] {
  const [u, v] = [x / CARD_MM.width - 0.5, y / CARD_MM.height - 0.5];
  return [1, u, v, u * u, u * v, v * v];
}

function dot(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, value, i) => sum + value * b[i]!, 0);
}

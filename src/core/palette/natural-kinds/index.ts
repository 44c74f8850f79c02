/** natural-kinds: what is known by its colours, one file a kind; to add one, write its file and list it here. */
import { type Lab, oklchOfLab, turnBetween } from '../../colour/index.ts';
import { apple } from './apple.ts';
import { berry } from './berry.ts';
import { brick } from './brick.ts';
import { cloud } from './cloud.ts';
import { copper } from './copper.ts';
import { earth } from './earth.ts';
import { fire } from './fire.ts';
import { fur } from './fur.ts';
import { gold } from './gold.ts';
import { hair } from './hair.ts';
import { leaf } from './leaf.ts';
import { lemon } from './lemon.ts';
import { moon } from './moon.ts';
import { orange } from './orange.ts';
import { pearl } from './pearl.ts';
import { plum } from './plum.ts';
import { silver } from './silver.ts';
import { skin } from './skin.ts';
import { sky } from './sky.ts';
import { snow } from './snow.ts';
import { stone } from './stone.ts';
import { straw } from './straw.ts';
import { water } from './water.ts';
import { wood } from './wood.ts';
import { type ColourRange, type NaturalKind } from './natural-kind.ts';

export { type ColourRange, type Ladder, type NaturalKind } from './natural-kind.ts';

export const NATURAL_KINDS: readonly NaturalKind[] = [
  sky,
  water,
  leaf,
  fire,
  wood,
  snow,
  skin,
  gold,
  copper,
  silver,
  stone,
  fur,
  hair,
  earth,
  brick,
  straw,
  cloud,
  moon,
  pearl,
  lemon,
  orange,
  apple,
  berry,
  plum,
];

/**
 * The kind that a thing is of, by what it is made of or else by its name.
 * @returns null for what may have any colour
 */
export function naturalKindOf(name: string, material: string | null): NaturalKind | null {
  const words = wordsOf(name);
  return (
    NATURAL_KINDS.find(({ materials }) => material !== null && materials.includes(material)) ??
    NATURAL_KINDS.find((kind) => kind.words.some((word) => words.includes(word))) ??
    null
  );
}

/** A kind as a name narrows it: a sky that is called a night sky has the colours of night alone. */
export function narrowedBy(kind: NaturalKind, name: string): NaturalKind {
  const said = new Set(wordsOf(name));
  const isSaid = ({ words = [] }: { words?: readonly string[] }) => words.some((word) => said.has(word));
  const ranges = kind.ranges.filter(isSaid);
  const ladders = (kind.ladders ?? []).filter(isSaid);
  if (ranges.length === 0 && ladders.length === 0) return kind;
  return {
    ...kind,
    ranges: ranges.length > 0 ? ranges : kind.ranges,
    ladders: ladders.length > 0 ? ladders : kind.ladders,
  };
}

function wordsOf(name: string): string[] {
  return name.toLowerCase().split(/[^a-z]+/);
}

/**
 * The kind with this id.
 * @throws RangeError when there is none
 */
export function naturalKindById(id: string): NaturalKind {
  const kind = NATURAL_KINDS.find((each) => each.id === id);
  if (!kind) throw new RangeError(`There is no natural kind called "${id}".`);
  return kind;
}

/** What a step of OKLCH lightness or chroma is worth beside CIEDE2000, about. */
const STEP = { lightness: 90, chroma: 160 };

/** How far a colour lies outside what is natural for a kind, in units of CIEDE2000 about; 0 within it. */
export function beyondNature({ ranges }: Pick<NaturalKind, 'ranges'>, lab: Lab): number {
  const { l, c, h } = oklchOfLab(lab);
  const beyond = ({ hue: [from, to], chroma, lightness }: ColourRange) => {
    const span = (to - from + 360) % 360;
    const middle = from + span / 2;
    const turned = Math.max(0, Math.abs(turnBetween(h, middle)) - span / 2);
    const across = 2 * c * Math.sin((turned * Math.PI) / 360);
    const clear = outside(c, chroma);
    return Math.hypot(STEP.lightness * outside(l, lightness), STEP.chroma * Math.hypot(across, clear));
  };
  return Math.min(...ranges.map(beyond));
}

function outside(value: number, [least, most]: readonly [number, number]): number {
  return Math.max(0, least - value, value - most);
}

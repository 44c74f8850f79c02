import { inHand } from './step.ts';
import type { Step } from './schemas.ts';

/** Things that are laid as one, each layer on all of them that want it before the next: strands, panes, scales. */
export interface LikeThings {
  /** What is held one after the other. */
  held: readonly string[];
  /** For each thing by id which of these each of its layers is. */
  places: ReadonlyMap<string, readonly number[]>;
}

/** So many sets that a thing might join are looked at, those first that it adds least to. */
const TRIED = 3;

/**
 * Finds the things that can be laid as one: what the layers of one want in hand, one after the other, another wants too,
 * perhaps with more in between. What would then have to wait for itself stays by itself.
 * @param steps chained within each thing
 * @param wholeThings whether each set is finished before the next is begun: then sets must not wait for each other either, and
 * only things that want the very same are alike
 * @throws RangeError when steps wait for each other or for one that is not there
 */
export function likeThings(steps: readonly Step[], wholeThings = false): LaidTogether {
  const { layers, waits } = layersOf(steps);
  let sets = byThemselves(layers);
  if (wholeThings && !isFree(sets, waits, true)) return { sets, layers };
  for (const alone of [...sets]) {
    const thingId = [...alone.places.keys()].join();
    const candidates = sets
      .slice(0, sets.indexOf(alone))
      .flatMap((set) => {
        const joined = joinedBy(set, thingId, alone.held, wholeThings);
        return joined ? [{ set, joined }] : [];
      })
      .sort((p, q) => p.joined.held.length - q.joined.held.length)
      .slice(0, TRIED);
    for (const { set, joined } of candidates) {
      const next = sets.flatMap((each) => (each === alone ? [] : each === set ? [joined] : [each]));
      if (!isFree(next, waits, false) || (wholeThings && !isFree(next, waits, true))) continue;
      sets = next;
      break;
    }
  }
  return { sets, layers };
}

/** Each thing by itself, those with most layers first. */
function byThemselves(layers: Layers): LikeThings[] {
  return [...layers]
    .sort(([, p], [, q]) => q.length - p.length)
    .map(([thingId, own]) => {
      return { held: own.map(([first]) => inHand(first!)), places: new Map([[thingId, [...own.keys()]]]) };
    });
}

/** The steps of each layer of each thing in order, by thing id. */
type Layers = ReadonlyMap<string, readonly (readonly Step[])[]>;

/** Sets of like things, and the layers that their places speak of. */
export interface LaidTogether {
  sets: readonly LikeThings[];
  layers: Layers;
}

/**
 * The layers of things, all parts of one together; where some then waited for themselves, each part by itself.
 * @throws RangeError when steps wait for each other or for one that is not there
 */
function layersOf(steps: readonly Step[]): { layers: Layers; waits: readonly Wait[] } {
  for (const areApart of [false, true]) {
    const layers = new Map<string, Step[][]>();
    for (const step of steps) {
      const own = layers.get(step.thingId) ?? [];
      layers.set(step.thingId, own);
      const last = own.at(-1);
      if (!areApart && last?.[0]!.layerId === step.layerId) last.push(step);
      else own.push([step]);
    }
    const waits = waitsOf(steps, layers);
    if (isFree(byThemselves(layers), waits, false)) return { layers, waits };
  }
  throw new RangeError('Some steps wait for each other or for a step that is not there.');
}

/** A layer of a thing by that and by its place. */
type LayerPlace = readonly [thingId: string, layer: number];

/** A layer that is waited for, and one of another thing that waits for it. */
type Wait = readonly [LayerPlace, LayerPlace];

function waitsOf(steps: readonly Step[], layers: Layers): Wait[] {
  const placeOf = new Map<string, LayerPlace>();
  for (const [thingId, own] of layers)
    own.forEach((layer, k) => layer.forEach(({ id }) => placeOf.set(id, [thingId, k])));
  return steps.flatMap(({ id, thingId, after }) =>
    after.flatMap((before) => {
      const place = placeOf.get(before);
      return place && place[0] !== thingId ? [[place, placeOf.get(id)!] as const] : [];
    }),
  );
}

/** A set with one more thing; null where that wants something that the set does not, or that at another time. */
function joinedBy(set: LikeThings, thingId: string, held: readonly string[], inFull: boolean): LikeThings | null {
  if (inFull && set.held.length !== held.length) return null;
  const { word, first, second } = shortestCommon(set.held, held);
  if (word.length > Math.max(set.held.length, held.length)) return null;
  const places = new Map([...set.places].map(([id, own]) => [id, own.map((k) => first[k]!)] as const));
  return { held: word, places: places.set(thingId, second) };
}

/** The shortest word that two are parts of, with the place of each letter of them in it (by their longest common part). */
function shortestCommon(a: readonly string[], b: readonly string[]) {
  const common = Array.from({ length: a.length + 1 }, () => new Uint16Array(b.length + 1));
  for (let i = a.length - 1; i >= 0; i--)
    for (let j = b.length - 1; j >= 0; j--)
      common[i]![j] = a[i] === b[j] ? common[i + 1]![j + 1]! + 1 : Math.max(common[i + 1]![j]!, common[i]![j + 1]!);
  const word: string[] = [];
  const first: number[] = [];
  const second: number[] = [];
  for (let [i, j] = [0, 0]; i < a.length || j < b.length;) {
    const both = i < a.length && j < b.length && a[i] === b[j];
    const fromFirst = both || j === b.length || (i < a.length && common[i + 1]![j]! >= common[i]![j + 1]!);
    if (both) second[j++] = word.length;
    if (fromFirst) first[i] = word.length;
    else second[j] = word.length;
    word.push(fromFirst ? a[i++]! : b[j++]!);
  }
  return { word, first, second };
}

/** Whether nothing waits for itself over others (by leaving out whatever waits for nothing, A. Kahn, 1962). */
function isFree(sets: readonly LikeThings[], waits: readonly Wait[], wholeThings: boolean) {
  const begins = new Int32Array(sets.length + 1);
  sets.forEach(({ held }, i) => (begins[i + 1] = begins[i]! + (wholeThings ? 1 : held.length)));
  const setOf = new Map(sets.flatMap(({ places }, i) => [...places.keys()].map((id) => [id, i] as const)));
  const nodeOf = ([thingId, layer]: LayerPlace) => {
    const i = setOf.get(thingId);
    if (i === undefined) return -1;
    return begins[i]! + (wholeThings ? 0 : sets[i]!.places.get(thingId)![layer]!);
  };
  const count = begins[sets.length]!;
  const waitsFor = new Int32Array(count);
  const followers: number[][] = Array.from({ length: count }, () => []);
  const put = (a: number, b: number) => {
    if (a === b || a < 0 || b < 0) return;
    followers[a]!.push(b);
    waitsFor[b]!++;
  };
  sets.forEach((_, i) => {
    for (let node = begins[i]!; node + 1 < begins[i + 1]!; node++) put(node, node + 1);
  });
  for (const [before, after] of waits) put(nodeOf(before), nodeOf(after));
  const free = [...waitsFor.keys()].filter((node) => waitsFor[node] === 0);
  let through = 0;
  for (let at = free.pop(); at !== undefined; at = free.pop()) {
    through++;
    for (const next of followers[at]!) if (--waitsFor[next]! === 0) free.push(next);
  }
  return through === count;
}

/**
 * Like things as one thing each, and all parts of a layer as one step: what an order is sought for.
 * @returns the steps with, for each by id, those that it stands for
 */
export function joinedSteps({ sets, layers }: LaidTogether): {
  steps: Step[];
  standsFor: ReadonlyMap<string, readonly Step[]>;
} {
  const standsFor = new Map<string, Step[]>();
  sets.forEach(({ held, places }, i) =>
    held.forEach((_, k) => {
      const own = [...places].flatMap(([thingId, at]) => layers.get(thingId)![at.indexOf(k)] ?? []);
      standsFor.set(`${i}/${k}`, own);
    }),
  );
  const joinedIn = new Map([...standsFor].flatMap(([id, own]) => own.map((step) => [step.id, id] as const)));
  const joined = [...standsFor].map(([id, own], n, all): Step => {
    const [set, layer] = id.split('/') as [string, string];
    const boxes = own.flatMap(({ box }) => box ?? []);
    const before = own.flatMap((step) => step.after.map((other) => joinedIn.get(other) ?? other));
    if (layer !== '0') before.push(all[n - 1]![0]);
    const sum = (of: (step: Step) => number | undefined) => own.reduce((whole, step) => whole + (of(step) ?? 0), 0);
    return {
      ...own[0]!,
      id,
      thingId: set,
      layerId: layer,
      regionIds: own.flatMap(({ regionIds }) => regionIds),
      minutes: sum(({ minutes }) => minutes),
      coveredMm2: sum(({ coveredMm2 }) => coveredMm2),
      wear: sum(({ wear }) => wear),
      soft: own.some(({ soft }) => soft),
      dryMinutes: Math.max(...own.map(({ dryMinutes }) => dryMinutes ?? 0)) || undefined,
      box: boxes.length > 0 ? around(boxes) : undefined,
      after: [...new Set(before)].filter((other) => other !== id),
    };
  });
  return { steps: joined, standsFor };
}

function around(boxes: readonly NonNullable<Step['box']>[]): NonNullable<Step['box']> {
  return {
    left: Math.min(...boxes.map(({ left }) => left)),
    top: Math.min(...boxes.map(({ top }) => top)),
    right: Math.max(...boxes.map(({ right }) => right)),
    bottom: Math.max(...boxes.map(({ bottom }) => bottom)),
  };
}

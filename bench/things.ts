import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { type PageIndex, findRegions } from '../src/core/lineart/index.ts';
import {
  type Answer,
  type GuessedThing,
  type NeighbourCues,
  type PageReading,
  type Proposal,
  CUES,
  neighbourCues,
  proposeThings,
  readPage,
} from '../src/core/things/index.ts';
import { proposeForm } from '../src/core/light/index.ts';
import { DEMO_PAGES } from '../src/demo/index.ts';
import type { Truth } from '../src/fixtures/index.ts';
import { printTable } from './measure.ts';

const sheet = (name: string) => readFile(new URL(`../src/demo/sheets/${name}`, import.meta.url));

interface Sheet {
  title: string;
  truth: Truth;
  map: PageIndex;
  reading: PageReading;
  /** Name of the true thing of each region, by id; of flecks of texture that the truth does not list, undefined. */
  thingOf: (string | undefined)[];
}

/** How near the proposed things of each sheet come to those that its artist drew, unanswered and answered. */
export async function benchThings(): Promise<void> {
  const sheets = [];
  for (const { id, title, widthMm } of DEMO_PAGES) sheets.push(await readSheet(id, title, widthMm));
  const rows = [];
  for (const one of sheets) {
    const began = performance.now();
    const proposal = proposeThings(one.reading);
    const ms = performance.now() - began;
    const { answered, asked, materials } = answerAll(one, proposal);
    rows.push({ sheet: one.title, questions: '', ...scoreOf(one, proposal), ms });
    rows.push({ sheet: '  answered', questions: asked, ...scoreOf(one, answered, materials), ms: '' });
  }
  printTable(
    'Things proposed: purity is the share of regions, or of area, whose guess is mostly of their own true thing; front, form: share right',
    rows,
  );
  const cues = sheets.map(({ reading, thingOf }) => labelled(neighbourCues(reading), thingOf));
  printTable(
    'Same thing or not, told for two neighbours: chance that a true pair is ranked above a false one (0.5 is guessing)',
    sheets.map(({ title }, k) => {
      const fitted = fit(cues.filter((_, other) => other !== k).flat());
      return {
        sheet: title,
        pairs: cues[k].length,
        shipped: rankedRight(
          cues[k],
          CUES.map(({ weight }) => weight),
        ),
        'fitted without it': rankedRight(cues[k], fitted),
      };
    }),
  );
  const weights = fit(cues.flat());
  printTable(
    'Weights of the cues, log odds: shipped, and fitted to all sheets now',
    CUES.map(({ says, weight }, k) => ({ cue: says, shipped: weight, fitted: weights[k] })),
  );
}

async function readSheet(id: string, title: string, widthMm: number): Promise<Sheet> {
  const truth = JSON.parse(String(await sheet(`${id}.truth.json`))) as Truth;
  const { data, info } = await sharp(await sheet(`${id}.png`))
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  const grey = { width: info.width, height: info.height, data: new Uint8Array(data) };
  const map = await findRegions(grey, { pixelsPerMm: info.width / widthMm });
  const areas = map.regions.map(() => new Map<string, number>());
  for (const { name, regions } of truth.things) {
    for (const { at, areaMm2 } of regions) {
      const label = map.labels[Math.floor(at.y * map.pixelsPerMm) * map.width + Math.floor(at.x * map.pixelsPerMm)];
      const own = areas[label - 1];
      own?.set(name, (own.get(name) ?? 0) + areaMm2);
    }
  }
  return { title, truth, map, reading: await readPage(map), thingOf: [undefined, ...areas.map(most)] };
}

function most(areas: ReadonlyMap<string, number>): string | undefined {
  return [...areas].sort((p, q) => q[1] - p[1])[0]?.[0];
}

/** The true thing that most of a guess's area belongs to. */
function mainlyOf({ map, thingOf }: Sheet, { regionIds }: GuessedThing): string | undefined {
  const areas = new Map<string, number>();
  for (const id of regionIds) {
    const name = thingOf[id];
    if (name) areas.set(name, (areas.get(name) ?? 0) + map.regions[id - 1].areaMm2);
  }
  return most(areas);
}

/** Answers every question as somebody would who knows the drawing. */
function answerAll(one: Sheet, first: Proposal): { answered: Proposal; asked: number; materials: Map<number, string> } {
  const answers: Answer[] = [];
  const asked: string[] = [];
  const depth = new Map(one.truth.things.map(({ name, depth }) => [name, depth]));
  const materials = new Map<number, string>();
  const forms = new Map(one.truth.things.map(({ name, form }) => [name, form]));
  let now = first;
  while (now.questions.length) {
    const [question] = now.questions;
    asked.push(question.key);
    if (question.kind === 'what') {
      const guess = now.guesses[question.group];
      const form = forms.get(mainlyOf(one, guess) ?? '');
      const material = form === 'fades-down' ? 'sky' : form === 'fades-up' ? 'water' : 'other';
      for (const id of guess.regionIds) materials.set(id, material);
    } else {
      const [a, b] = [now.guesses[question.a], now.guesses[question.b]];
      const [p, q] = [mainlyOf(one, a), mainlyOf(one, b)];
      const ids = { a: a.regionIds[0], b: b.regionIds[0] };
      if (question.kind === 'together') answers.push({ kind: 'together', ...ids, yes: p === q });
      else if (p !== undefined && q !== undefined && p !== q) {
        const [front, behind] = depth.get(p)! > depth.get(q)! ? [ids.a, ids.b] : [ids.b, ids.a];
        answers.push({ kind: 'front', front, behind });
      }
    }
    now = proposeThings(one.reading, { answers, asked });
  }
  return { answered: now, asked: asked.length, materials };
}

function scoreOf(one: Sheet, { guesses, frontToBack }: Proposal, materials = new Map<number, string>()) {
  const { map, truth, thingOf, reading } = one;
  const mainly = guesses.map((guess) => mainlyOf(one, guess));
  let [pure, all, pureArea, allArea, rightForm] = [0, 0, 0, 0, 0];
  const formOf = new Map(truth.things.map(({ name, form }) => [name, form as string]));
  guesses.forEach(({ regionIds }, k) => {
    const form = proposeForm(
      regionIds.map((id) => map.regions[id - 1]),
      truth,
      regionIds.map((id) => materials.get(id)).find(Boolean),
    );
    for (const id of regionIds) {
      const name = thingOf[id];
      if (!name) continue;
      const area = map.regions[id - 1].areaMm2;
      all++;
      allArea += area;
      if (form === formOf.get(name)) rightForm += area;
      if (name !== mainly[k]) continue;
      pure++;
      pureArea += area;
    }
  });
  const depth = new Map(truth.things.map(({ name, depth }) => [name, depth]));
  const place = new Map(frontToBack.map((k, at) => [k, at]));
  const guessOf = new Map(guesses.flatMap(({ regionIds }, k) => regionIds.map((id) => [id, k] as const)));
  const touching = new Map<string, boolean>();
  for (const { a, b } of reading.borders.shared) {
    const [p, q] = [guessOf.get(a)!, guessOf.get(b)!];
    const [t, u] = [mainly[p], mainly[q]];
    if (p === q || !t || !u || t === u) continue;
    touching.set(
      `${Math.min(p, q)} ${Math.max(p, q)}`,
      depth.get(t)! > depth.get(u)! === place.get(p)! < place.get(q)!,
    );
  }
  return {
    regions: map.regions.length,
    true: truth.things.length,
    guesses: guesses.length,
    pure: pure / all,
    'pure area': pureArea / allArea,
    front: [...touching.values()].filter(Boolean).length / touching.size,
    form: rightForm / allArea,
  };
}

interface Example {
  values: number[];
  same: boolean;
}

function labelled(cues: readonly NeighbourCues[], thingOf: Sheet['thingOf']): Example[] {
  return cues.flatMap(({ a, b, values }) =>
    thingOf[a] && thingOf[b] ? [{ values, same: thingOf[a] === thingOf[b] }] : [],
  );
}

/** Logistic regression by gradient ascent, with a little shrinkage. */
function fit(examples: readonly Example[]): number[] {
  const weights = CUES.map(() => 0);
  for (let round = 0; round < 3000; round++) {
    const slope = CUES.map(() => 0);
    for (const { values, same } of examples) {
      const sum = values.reduce((total, value, k) => total + value * weights[k], 0);
      const off = +same - 1 / (1 + Math.exp(-sum));
      values.forEach((value, k) => (slope[k] += off * value));
    }
    slope.forEach((each, k) => (weights[k] += 0.3 * (each / examples.length - (k ? 0.002 * weights[k] : 0))));
  }
  return weights;
}

/** The area under the receiver operating characteristic. */
function rankedRight(examples: readonly Example[], weights: readonly number[]): number {
  const ranked = examples
    .map(({ values, same }) => ({ sum: values.reduce((total, value, k) => total + value * weights[k], 0), same }))
    .sort((p, q) => p.sum - q.sum);
  let [ranks, same] = [0, 0];
  ranked.forEach((each, k) => {
    if (!each.same) return;
    ranks += k + 1;
    same++;
  });
  return (ranks - (same * (same + 1)) / 2) / (same * (ranked.length - same));
}

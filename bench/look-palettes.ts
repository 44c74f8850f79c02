import { type Lab, deltaE2000, oklchOfLab } from '../src/core/colour/index.ts';
import { type Proposal, paletteDifference } from '../src/core/palette/index.ts';
import { DEMO_PAGES, demoPencils } from '../src/demo/index.ts';
import { summariseSheet } from '../src/plan/derive/index.ts';
import { printTable } from './measure.ts';
import { type OpenedPage, openDemoPage, palettesFor } from './planned.ts';

const SCHEMES = [
  { scheme: 'complementary', anchor: 60 },
  { scheme: 'split-complementary', anchor: 60 },
  { scheme: 'triad', anchor: 240 },
];
/** A colour below this CIELAB chroma is grey to the eye, and a thing above this share of the area is large. */
const GREY = 10;
const LARGE = 0.02;

const chroma = ([, a, b]: Lab) => Math.hypot(a, b);
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/** What palettes are like that are proposed for the demo's sheets, with and without what is known of their things. */
export async function benchLookPalettes(): Promise<void> {
  const tray = demoPencils().filter(({ whereabouts }) => whereabouts !== 'missing');
  const rows = [];
  for (const named of [true, false]) {
    const all = [];
    for (const { id } of DEMO_PAGES) {
      const page = await openDemoPage(id, named);
      for (const wishes of SCHEMES) all.push(factsOf(page, await palettesFor(page, tray, wishes), wishes.scheme));
    }
    for (const scheme of ['all', ...SCHEMES.map((each) => each.scheme)]) {
      const own = all.filter((facts) => scheme === 'all' || facts.scheme === scheme);
      const of = (
        key: 'chroma' | 'grey' | 'light' | 'dark' | 'spread' | 'hues' | 'apart' | 'apartFree' | 'leastApart',
      ) => mean(own.map((facts) => facts[key]));
      rows.push({
        things: named ? 'named' : 'unnamed',
        scheme,
        'C*': of('chroma'),
        'C* < 10, %': 100 * of('grey'),
        'L* > 70, %': 100 * of('light'),
        'L* < 45, %': 100 * of('dark'),
        'sd L*': of('spread'),
        'focus C*': mean(own.flatMap((facts) => facts.focusChroma ?? [])),
        'large hues': of('hues'),
        'focus strongest, %':
          100 * mean(own.flatMap((facts) => (facts.strongest === null ? [] : Number(facts.strongest)))),
        'four apart': of('apart'),
        'in what is free': of('apartFree'),
        'least apart': of('leastApart'),
      });
    }
  }
  printTable(
    'First proposals for the four sheets, three schemes; how far the four proposals lie apart (CIEDE2000 by area)',
    rows,
  );
}

function factsOf({ plan, map }: OpenedPage, proposals: readonly Proposal[], scheme: string) {
  const page = summariseSheet(plan, map);
  const area = page.things.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const share = page.things.map(({ areaMm2 }) => areaMm2 / area);
  const labs = proposals.map(({ parts }) =>
    page.things.map(({ id }) => parts.find(({ thingId }) => thingId === id)!.body),
  );
  const [first] = labs;
  const sum = (of: (lab: Lab, i: number) => number) => first.reduce((all, lab, i) => all + share[i] * of(lab, i), 0);
  const light = sum(([l]) => l);
  const asksForGrey = page.things.map(({ natural }) => natural !== null && chroma(natural) < GREY);
  const free = page.things.map(({ natural }, i) => (natural ? 0 : share[i]));
  const pairs = labs.flatMap((one, i) => labs.slice(i + 1).map((other) => [one, other] as const));
  const inFree = (one: readonly Lab[], other: readonly Lab[]) =>
    paletteDifference(one, other, free) /
    Math.max(
      1e-9,
      free.reduce((all, each) => all + each, 0),
    );
  const apart = pairs.map(([one, other]) => paletteDifference(one, other, share));
  const hues = new Set(
    first.flatMap((lab, i) =>
      share[i] > LARGE && chroma(lab) >= GREY ? [Math.round(oklchOfLab(lab).h / 30) % 12] : [],
    ),
  );
  // How far each thing stands out from what it borders on, by the length of the border.
  const at = new Map(page.things.map(({ id }, i) => [id, i]));
  const out = page.things.map(({ id }) => {
    const beside = page.borders.filter(({ a, b }) => a === id || b === id);
    const length = beside.reduce((all, { lengthMm }) => all + lengthMm, 0);
    const away = beside.reduce(
      (all, { a, b, lengthMm }) => all + lengthMm * deltaE2000(first[at.get(a)!], first[at.get(b)!]),
      0,
    );
    return length > 0 ? away / length : 0;
  });
  const focus = page.things.findIndex((thing) => thing.focus);
  const rivals = out.filter((_, i) => i !== focus && share[i] > 0.002);
  return {
    scheme,
    chroma: sum(chroma),
    grey: sum((lab, i) => Number(chroma(lab) < GREY && !asksForGrey[i])),
    light: sum(([l]) => Number(l > 70)),
    dark: sum(([l]) => Number(l < 45)),
    spread: Math.sqrt(sum(([l]) => (l - light) ** 2)),
    focusChroma: focus < 0 ? null : chroma(first[focus]),
    hues: hues.size,
    strongest: focus < 0 ? null : out[focus] >= Math.max(...rivals),
    apart: mean(apart),
    leastApart: Math.min(...apart),
    apartFree: mean(pairs.map(([one, other]) => inFree(one, other))),
  };
}

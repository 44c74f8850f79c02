import * as culori from 'culori';
import { type Lab, deltaE2000, deltasE2000, labOfHex, oklchOfLab } from '../src/core/colour/index.ts';
import {
  type Pass,
  type Pressure,
  bareGround,
  groundAfterPasses,
  layPasses,
  pencilOptics,
  whiteBook,
} from '../src/core/laydown/index.ts';
import { toneTables } from '../src/core/preview/index.ts';
import { seededRandom } from '../src/core/random/index.ts';
import { compileRecipe, familyOf } from '../src/core/recipe/index.ts';
import { type LaidTray, layTray, layeringsNear, nearestPencils } from '../src/core/tray/index.ts';
import { demoPencils } from '../src/demo/index.ts';
import { benchCalibration } from './calibration.ts';
import { printTable, timed, timedInTurns } from './measure.ts';

/** The colour model: how fast it is, how well swatches are fitted, and what a colourist expects of the demo sets. */
export async function benchColour(): Promise<void> {
  await speed();
  await benchCalibration();
  observations();
}

async function speed(): Promise<void> {
  const ground = bareGround(whiteBook);
  const colours = ['#3d2a22', '#c6913a', '#f3e7b9'];
  const optics = new Map(colours.map((hex) => [hex, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]));
  const six = [...colours, ...colours].map((hex): Pass => ({ pencil: optics.get(hex)!, pressure: 'light' }));
  const recipe = compileRecipe('blend', 'base-coat-first', familyOf(colours), {
    regions: [{ usableWidthMm: 6, areaMm2: 40 }],
  });
  const tray = sixHundred();
  const random = seededRandom(5);
  const targets = Array.from({ length: 1000 }, (): Lab => [
    20 + 75 * random(),
    110 * random() - 50,
    110 * random() - 50,
  ]);
  const stacks = 2000;
  const rows: [string, () => unknown, string, number][] = [
    ['pencil solved', () => pencilOptics({ masstone: labOfHex('#2b4fa3'), type: 'oil' }), 'pencils a second', 1],
    ['6-layer stacks', () => times(stacks, () => groundAfterPasses(ground, six)), 'stacks a second', stacks],
    [
      '6-layer stacks, told after each pass',
      () => times(stacks, () => layPasses(ground, six)),
      'stacks a second',
      stacks,
    ],
    ['tone tables of one recipe', () => toneTables(recipe.layers, optics, ground), 'recipes a second', 1],
    [
      'nearest 5 of 600 pencils, 1,000 targets',
      () => targets.forEach((target) => nearestPencils(target, tray, 'medium', 5)),
      'targets a second',
      targets.length,
    ],
    ['layerings of two and three of 600 pencils', () => layeringsNear(targets[0], tray, 5), 'targets a second', 1],
  ];
  const table = [];
  for (const [what, work, unit, count] of rows) {
    const { cold, warm, best } = await timed(work, 7);
    table.push({ what, 'cold ms': cold, 'warm ms': warm, 'best ms': best, 'a second': (1000 * count) / warm, unit });
  }
  printTable('The colour model', table);

  const labs = Float64Array.from({ length: 300_000 }, (_, i) => (i % 3 ? 160 * random() - 80 : 100 * random()));
  const objects = Array.from({ length: 100_000 }, (_, i) => ({
    mode: 'lab65' as const,
    l: labs[3 * i],
    a: labs[3 * i + 1],
    b: labs[3 * i + 2],
  }));
  const from: Lab = [50, 20, -30];
  const theirFrom = { mode: 'lab65' as const, l: 50, a: 20, b: -30 };
  const theirDifference = culori.differenceCiede2000();
  const [ours, theirs] = await timedInTurns(
    [() => deltasE2000(from, labs), () => objects.forEach((other) => theirDifference(theirFrom, other))],
    9,
  );
  printTable('CIEDE2000 from one colour to 100,000, here and in culori, in turns (ms)', [
    { what: 'here', ...ours },
    { what: 'culori', ...theirs },
    {
      what: 'times as fast',
      cold: theirs.cold / ours.cold,
      warm: theirs.warm / ours.warm,
      best: theirs.best / ours.best,
    },
  ]);
}

function times(n: number, work: () => unknown): void {
  for (let i = 0; i < n; i++) work();
}

/** The demo's pencils and others between them, so that there are 600. */
function sixHundred(): LaidTray {
  const random = seededRandom(9);
  const own = demoPencils();
  const pencils = Array.from({ length: 600 }, (_, i) => {
    const { colour, type, opacity } = own[i % own.length];
    const [l, a, b] = labOfHex(colour);
    const off = () => (i < own.length ? 0 : 16 * random() - 8);
    const masstone: Lab = [Math.min(95, Math.max(12, l + off())), a + off(), b + off()];
    return { id: String(i), code: String(i), masstone, type, opacity: opacity ?? undefined };
  });
  return layTray(pencils, whiteBook);
}

/** What a colourist knows of layers, tried on all fitting pencils and pairs of the demo sets; those that miss are named. */
function observations(): void {
  const ground = bareGround(whiteBook);
  const pencils = demoPencils().map(({ code, colour, type, opacity }) => {
    const optics = pencilOptics({ masstone: labOfHex(colour), type, opacity: opacity ?? undefined });
    return { code, type, lab: labOfHex(colour), ...oklchOfLab(labOfHex(colour)), optics };
  });
  type Pencil = (typeof pencils)[number];
  const lay = (...layers: [Pencil, Pressure][]) =>
    layPasses(
      ground,
      layers.map(([{ optics }, pressure]) => ({ pencil: optics, pressure })),
    );
  const chroma = ([, a, b]: Lab) => Math.hypot(a, b);
  const hued = (low: number, high: number, least = 0.1) =>
    pencils.filter(({ c, h }) => c > least && h >= low && h <= high);
  const pairs = (some: Pencil[], others: Pencil[]) => some.flatMap((p) => others.map((q) => [p, q] as const));
  const whites = pencils.filter(({ l, c }) => l > 0.93 && c < 0.03);
  const magentas = hued(340, 360).concat(hued(0, 12));
  const covers = ({ type }: Pencil) => type === 'wax' || type === 'pastel';
  const light = 'light' as const;
  const medium = 'medium' as const;
  const lifts = (white: Pencil, magenta: Pencil) => {
    const before = lay([magenta, medium], [magenta, medium]);
    const after = lay([magenta, medium], [magenta, medium], [white, medium]);
    return {
      lift: after.lab[0] - before.lab[0],
      chroma: chroma(after.lab) / chroma(before.lab) - 1,
      closes: after.specks < before.specks,
    };
  };
  const rows: [string, readonly (readonly [Pencil, Pencil])[], (p: Pencil, q: Pencil) => boolean][] = [
    [
      'yellow lightly over blue is green',
      pairs(hued(245, 275), hued(92, 112)),
      (blue, yellow) => {
        const { h } = oklchOfLab(lay([blue, light], [yellow, light]).lab);
        return h >= 110 && h <= 170;
      },
    ],
    [
      'evenly layered complements fall below 45% of their chroma',
      pairs(hued(15, 32), hued(140, 165)),
      (red, green) => {
        const mixed = lay([red, medium], [green, medium], [red, medium], [green, medium]).lab;
        const alone = [red, green].map((one) => chroma(lay([one, medium], [one, medium]).lab));
        return chroma(mixed) < (0.45 * (alone[0] + alone[1])) / 2;
      },
    ],
    [
      'translucent white over magenta lifts a little and keeps chroma',
      pairs(
        whites.filter((white) => !covers(white)),
        magentas,
      ),
      (white, magenta) => {
        const { lift, chroma: change, closes } = lifts(white, magenta);
        return lift >= 0 && lift <= 9 && change > -0.2 && closes;
      },
    ],
    [
      'covering white over magenta lifts more and takes chroma away',
      pairs(whites.filter(covers), magentas),
      (white, magenta) => {
        const { lift, chroma: change } = lifts(white, magenta);
        return lift > 2 && change < -0.15;
      },
    ],
    [
      'one light pass leaves over 45% specks',
      pairs(pencils, pencils.slice(0, 1)),
      (one) => lay([one, light]).specks > 0.45,
    ],
    [
      'masstone comes out within 1.5',
      pairs(pencils, pencils.slice(0, 1)),
      (one) => deltaE2000(lay([one, 'firm'], [one, 'firm'], [one, 'burnish']).lab, one.lab) < 1.5,
    ],
  ];
  printTable(
    'What a colourist expects, on the demo sets and smooth white',
    rows.map(([what, of, holds]) => {
      const missed = of.filter(([p, q]) => !holds(p, q));
      const names = missed.slice(0, 4).map(([p, q]) => `${p.code} ${q.code}`);
      return {
        what,
        'as expected': of.length - missed.length,
        of: of.length,
        'missed, some of them': names.join(', '),
      };
    }),
  );
}

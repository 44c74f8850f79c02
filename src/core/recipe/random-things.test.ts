import { expect } from 'chai';
import fc from 'fast-check';
import { type Lab, labOfOklch, oklchOfLab } from '../colour/index.ts';
import {
  type Ground,
  type Paper,
  type PencilOptics,
  bareGround,
  layPasses,
  paperById,
  pencilOptics,
  toolById,
} from '../laydown/index.ts';
import { FORMS, MATERIALS, type MainLight, pageFields, sampleFields } from '../light/index.ts';
import { FamilyBook } from '../palette/index.ts';
import { type TrayPencil, onPaper } from '../tray/index.ts';
import { disc, from, thing } from '../light/test/drawn-page.ts';
import {
  type Layer,
  type RegionContext,
  REACHED,
  SCHOOLS,
  checkRecipe,
  compileRecipe,
  coveredMm2,
  effectById,
  finishRecipe,
  largestSoftStep,
  pencilsFor,
  proposeEffect,
  rangeOnThing,
} from './index.ts';

/** A tray of about so many pencils: hues all round, dark to pale, with browns and greys among them. */
function trayOf(size: number): TrayPencil[] {
  const lights = size < 20 ? [0.3, 0.6, 0.9] : size < 60 ? [0.3, 0.52, 0.72, 0.9] : [0.24, 0.36, 0.48, 0.6, 0.74, 0.88];
  const hues = Math.max(2, Math.round((size - lights.length) / lights.length));
  const clear = lights.flatMap((l) =>
    Array.from({ length: hues }, (_, k) =>
      labOfOklch({ l, c: 0.13 - 0.1 * Math.abs(l - 0.6), h: (360 * k) / hues + 30 }),
    ),
  );
  const greys = lights.map((l) => labOfOklch({ l: Math.min(0.96, l + 0.04), c: 0.01, h: 80 }));
  return [...clear, ...greys]
    .slice(0, size)
    .map((masstone: Lab, i) => ({ id: `p${i}`, code: `P${i}`, masstone, type: 'wax' }));
}
const SIZES_OF_TRAYS = [8, 24, 72, 180] as const;
const PAPERS = ['white-book', 'toothed-white', 'cream-sheet'] as const;
const LIGHTS: readonly MainLight[] = [{ kind: 'ambient' }, from(225, 40), from(300, 25), { kind: 'behind' }];
const books = new Map<string, FamilyBook>();
function bookOf(size: number, paper: Paper): FamilyBook {
  const key = `${size} ${paper.id}`;
  const known = books.get(key) ?? new FamilyBook(onPaper(trayOf(size), paper), paper);
  books.set(key, known);
  return known;
}

type Optics = ReadonlyMap<string, PencilOptics>;

interface RandomThing {
  form: string;
  material: string;
  mm: number;
  light: MainLight;
  tray: number;
  paper: string;
  school: string;
  place: number;
}
const randomThing: fc.Arbitrary<RandomThing> = fc.record({
  form: fc.constantFrom(...FORMS.map(({ id }) => id)),
  material: fc.constantFrom(...MATERIALS.map(({ id }) => id)),
  mm: fc.constantFrom(1, 3, 8, 20, 60),
  light: fc.constantFrom(...LIGHTS),
  tray: fc.constantFrom(...SIZES_OF_TRAYS),
  paper: fc.constantFrom(...PAPERS),
  school: fc.constantFrom(...SCHOOLS.map(({ id }) => id)),
  place: fc.nat(179),
});

/** A thing as it is planned: a family of its tray, what its material and light ask for, closed on its paper. */
async function planned({ form, material, mm, light, tray, paper: paperId, school, place }: RandomThing) {
  const paper = paperById(paperId);
  const book = bookOf(tray, paper);
  const { family } = book.around(place % book.tray.length, pencilsFor(mm));
  // A disc of 20 mm stands for one of every size: light falls on it the same way.
  const page = await drawnDisc;
  const fields = pageFields(page, [thing('own', [1], form, material)], { main: light, glows: [] });
  const { width, height, pixelsPerMm, grown, distance, regions } = page;
  const lit = sampleFields({ width, height, pixelsPerMm, grown, distance, regions, fields }).get(1);
  const context: RegionContext = {
    regions: [{ usableWidthMm: mm, areaMm2: 0.8 * mm * mm, lit }],
    heightMm: mm,
    outMm: mm / 2,
    form,
    directLight: light.kind === 'direction',
    labOf: (id) => book.byId.get(id)?.body,
    opacityOf: () => 0.4,
  };
  const optics = new Map(trayOf(tray).map((pencil) => [pencil.id, pencilOptics(pencil)]));
  const ground = bareGround(paper);
  const effect = proposeEffect(material, { glow: null, backlit: light.kind === 'behind', form });
  const recipe = finishRecipe(compileRecipe(effect, school, family, context), context, optics, ground);
  return { recipe, context, optics, ground, family };
}
const drawnDisc = disc();

/** What a finding is explained by where plans have it: no pencil of this family could do otherwise, or no room. */
const EXPLAINED: Readonly<Record<string, (made: Awaited<ReturnType<typeof planned>>) => boolean>> = {
  narrow: () => true,
  // The family has no darker or paler pencil to part them.
  'no-value-step': ({ family, optics, ground }) => rangeOf(family.pencils, optics, ground) < 22,
  'smooth-metal': ({ family, optics, ground }) => rangeOf(family.pencils, optics, ground) < 22,
  // Two pencils of a small tray lie further apart than any hand can blend over so little.
  'large-step': (made) => areFarApart(made) || made.context.regions[0]!.usableWidthMm < 9,
  // A family of a small tray holds what lies opposite.
  opposites: ({ family, optics }) => hueSpread(family.pencils, optics) > 100,
  'wrong-blender': ({ family, optics }) => hueSpread(family.pencils, optics) > 60,
};

function areFarApart({ family, optics, ground }: Awaited<ReturnType<typeof planned>>): boolean {
  return rangeOf(family.pencils, optics, ground) / Math.max(1, family.pencils.length - 1) > 18;
}

function rangeOf(pencils: readonly string[], optics: Optics, ground: Ground): number {
  const values = pencils.map((id) => layPasses(ground, [{ pencil: optics.get(id)!, pressure: 'medium' }]).lab[0]);
  return Math.max(...values) - Math.min(...values);
}

function hueSpread(pencils: readonly string[], optics: Optics): number {
  const white = bareGround(paperById('white-book'));
  const hues = pencils.map((id) => oklchOfLab(layPasses(white, [{ pencil: optics.get(id)!, pressure: 'firm' }]).lab).h);
  return Math.max(...hues.flatMap((p) => hues.map((q) => Math.abs(((p - q + 540) % 360) - 180))));
}

describe('two hundred random things', () => {
  const made: { own: RandomThing; plan: Awaited<ReturnType<typeof planned>> }[] = [];
  before(async () => {
    for (const own of fc.sample(randomThing, { numRuns: 200, seed: 2026 }))
      made.push({ own, plan: await planned(own) });
  });
  const laws = (say: string, holds: (plan: Awaited<ReturnType<typeof planned>>, own: RandomThing) => void) =>
    it(say, () => {
      for (const { own, plan } of made) holds(plan, own);
    });

  laws('are planned without a finding, or with one that the family or the room explains', (made) => {
    const { recipe, context, optics, ground } = made;
    for (const { kind, sentence } of checkRecipe(recipe, context, optics, ground)) {
      expect(EXPLAINED[kind]?.(made) ?? false, `${recipe.effect}: ${kind}: ${sentence}`).to.equal(true);
    }
  });

  laws('have no layer without a place, and every layer in range', ({ recipe, context }) => {
    const area = context.regions[0]!.areaMm2;
    const covered = recipe.layers.map((layer) => coveredMm2(layer, context.regions) / area);
    expect(recipe.layers.length).to.be.at.least(1);
    covered.forEach((share, i) => {
      if (recipe.layers[i]!.role !== 'white')
        expect(share === Math.max(...covered) || share >= 0.02, recipe.layers[i]!.id).to.equal(true);
    });
    for (const { zone, passes } of recipe.layers) {
      expect(zone.from).to.be.below(zone.to);
      expect(passes).to.be.within(1, 6);
    }
  });

  laws(
    'have their cast shadow before the darks of their form, wet before dry, and nothing after a pen',
    ({ recipe }) => {
      const places = (is: (layer: Layer) => boolean) => recipe.layers.flatMap((layer, i) => (is(layer) ? [i] : []));
      const cast = places(({ id }) => id === 'cast-shadow');
      const darks = places(({ id, role, zone }) => role === 'dark' && id !== 'cast-shadow' && zone.field === 'tone');
      if (cast.length > 0 && darks.length > 0) expect(cast[0]).to.be.below(darks[0]!);
      for (const i of places(({ tool }) => tool !== undefined && (toolById(tool).wets ?? false)))
        expect(recipe.layers[i]!.dryMinutes ?? 0).to.be.above(0);
      expect(places(({ tool }) => tool !== undefined && toolById(tool).comes === 'last')).to.deep.equal([]);
    },
  );

  laws('of more than 15 mm reach from dark to light, as far as their family can', (made, { mm, form }) => {
    const { recipe, context, optics, ground, family } = made;
    if (mm < REACHED.fromMm || form === 'flat') return;
    const range = rangeOnThing(recipe, context, optics, ground);
    expect(range, recipe.effect).to.be.at.least(
      Math.min(REACHED.range, 0.45 * rangeOf(family.pencils, optics, ground)),
    );
  });

  laws('have no step in value where they pass softly, but for pencils too far apart or no room', (made, { mm }) => {
    const { recipe, optics, ground } = made;
    if (effectById(recipe.effect).jumps || mm < 3 || areFarApart(made)) return;
    expect(largestSoftStep(recipe, optics, ground), recipe.effect).to.be.at.most(8.2);
  });
});

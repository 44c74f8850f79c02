import { ASSUMED_RATES, makeSteps } from '../src/core/bench/index.ts';
import {
  type Hand,
  type Paper,
  type PencilOptics,
  bareGround,
  paperById,
  pencilOptics,
} from '../src/core/laydown/index.ts';
import { type PageIndex } from '../src/core/lineart/index.ts';
import {
  type Recipe,
  REACHED,
  checkRecipe,
  effectById,
  fieldsOf,
  isToReach,
  largestSoftStep,
  samplePlaces,
  shareInZone,
} from '../src/core/recipe/index.ts';
import { OpenPage } from '../src/core/render/index.ts';
import { DEMO_PAGES, demoPencils } from '../src/demo/index.ts';
import { asTrayPencil } from '../src/pencils/index.ts';
import {
  type PlannedRegion,
  deriveRecipes,
  formedThings,
  pageInLight,
  regionsOfThings,
  withReflected,
} from '../src/plan/derive/index.ts';
import { edited, giveFamilies, lightingOf, thingsOf } from '../src/plan/index.ts';
import type { Plan } from '../src/contracts/index.ts';
import { type PlaceArea, areasOnFields } from './areas-on-fields.ts';
import { type ComposedPage, composedPage } from './composed.ts';
import { printTable } from './measure.ts';
import { type OpenedPage, openDemoPage, palettesFor } from './planned.ts';

/** Pages that nobody chose by hand: their seeds. */
const COMPOSED = Array.from({ length: 20 }, (_, k) => 100 + k);
const PAPERS_LOOKED_AT = ['white-book', 'cream-sheet', 'toothed-white', 'toned-grey-card'];
const HANDS: Readonly<Record<string, Hand>> = {
  'as named': {},
  soft: { whisper: 0.7, light: 0.65, medium: 0.65, firm: 0.75, burnish: 0.85 },
};
/** Light is worked out at so many pixels a mm. */
const PER_MM = 3;
/** A layer that covers less of its thing than this has no place on it. */
const PLACE = 0.02;

/** What the plan of one thing comes to, by area. */
interface Finished {
  page: string;
  effect: string;
  school: string | null;
  areaMm2: number;
  /** Whether it is wide enough to have a range of values, and not told flat. */
  isWide: boolean;
  /** Share of bare paper, on all of it and where a layer is meant to lie. */
  bare: number;
  bareCovered: number;
  /** L* that a twentieth of the area is below, and above; between them the range. */
  darkest: number;
  lightest: number;
  /** Largest L* over a twentieth of the way where no edge is hard. */
  step: number;
  layers: number;
  placeless: number;
  minutes: number;
  findings: readonly string[];
}

/** What plans come to on paper, as they are proposed: how full, how dark, how even, and whether each layer has a place. */
export async function benchCraft(): Promise<void> {
  const tray = demoPencils().filter(({ whereabouts }) => whereabouts !== 'missing');
  const pages: Planned[] = [];
  for (const { id } of DEMO_PAGES) pages.push(await planned(await openDemoPage(id), tray));
  const composed: Planned[] = [];
  for (const seed of COMPOSED) composed.push(await planned(await composedPage(seed), tray));
  const usual = [...pages, ...composed].flatMap((page) => finishedThings(page, page.plan));
  const of = (names: readonly Planned[]) => usual.filter(({ page }) => names.some(({ name }) => name === page));
  printTable('By sheet, as proposed', [
    ...pages.map((page) => row({ sheet: page.name }, of([page]))),
    row({ sheet: 'twenty composed pages' }, of(composed)),
  ]);
  const effects = [...new Set(usual.map(({ effect }) => effect))].sort();
  printTable(
    'By effect, demo sheets and composed pages',
    effects.map((effect) =>
      row(
        { effect },
        usual.filter((each) => each.effect === effect),
      ),
    ),
  );
  const schools = ['base-coat-first', 'dark-first', 'light-to-dark', 'dark-foundation'].map((school) => {
    const all = pages.flatMap((page) => finishedThings(page, { ...page.plan, school }));
    return row(
      { school },
      all.filter(({ effect }) => effectById(effect).bySchool),
    );
  });
  printTable('By school, effects that are laid by one, demo sheets', schools);
  const grounds = [];
  for (const paper of PAPERS_LOOKED_AT) {
    for (const [hand, pressed] of Object.entries(HANDS)) {
      const all = pages.flatMap((page) => finishedThings(page, page.plan, { ...paperById(paper), hand: pressed }));
      grounds.push(row({ paper, hand }, all));
    }
  }
  printTable('By paper and hand, demo sheets', grounds);
  const kinds = new Map<string, number>();
  for (const { findings } of usual) for (const kind of findings) kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
  printTable(
    'Findings of the checks',
    [...kinds].map(([finding, things]) => ({ finding, things, of: usual.length })),
  );
}

type BenchTray = Parameters<typeof palettesFor>[1];
interface Planned {
  name: string;
  plan: Plan;
  map: PageIndex;
  open: OpenPage;
  tray: BenchTray;
}

/** The first palette that is proposed, taken. */
async function planned(page: OpenedPage | ComposedPage, tray: BenchTray): Promise<Planned> {
  const { name, plan, map } = page;
  const [{ parts }] = await palettesFor(page, tray, { scheme: 'split-complementary', anchor: 60 });
  const families = Object.fromEntries(parts.flatMap(({ thingId, family }) => (family ? [[thingId, family]] : [])));
  const given = edited(plan, (draft) => giveFamilies(draft, withReflected(plan, map, families))).plan;
  return { name, plan: given, map, open: new OpenPage(map), tray };
}

function finishedThings(
  { name, map, open, tray }: Planned,
  plan: Plan,
  paper: Paper = paperById(plan.page.paper),
): Finished[] {
  const on = { ...plan, page: { ...plan.page, paper: paper.id } };
  const byId = new Map(tray.map((pencil) => [pencil.id, pencil]));
  const page = pageInLight(open, on);
  const recipes = deriveRecipes(on, page, byId, ASSUMED_RATES, { paper, trayPencil: asTrayPencil });
  const regions = regionsOfThings(on, page.regions);
  const lit = open.lit(formedThings(on, map), lightingOf(on), Math.max(1, Math.round(map.pixelsPerMm / PER_MM)));
  const asked = new Map(
    [...recipes].flatMap(([id, { layers }]) => regions.get(id)!.map((own) => [own.id, fieldsOf(layers)])),
  );
  const areas = areasOnFields(lit, (id) => asked.get(id) ?? null);
  const optics = new Map<string, PencilOptics>();
  const opticsOf = (recipe: Recipe) =>
    new Map(
      recipe.layers.map(({ pencil }) => {
        const known = optics.get(pencil) ?? pencilOptics(asTrayPencil(byId.get(pencil)!));
        optics.set(pencil, known);
        return [pencil, known];
      }),
    );
  return thingsOf(on).flatMap(({ id, school, form }) => {
    const recipe = recipes.get(id);
    const own = regions.get(id) ?? [];
    if (!recipe || own.length === 0) return [];
    return [
      { ...finished(recipe, own, areas, opticsOf(recipe), { paper, form }), page: name, school: school ?? on.school },
    ];
  });
}

function finished(
  recipe: Recipe,
  own: readonly PlannedRegion[],
  areas: ReadonlyMap<number, readonly PlaceArea[]>,
  optics: ReadonlyMap<string, PencilOptics>,
  { paper, form }: { paper: Paper; form: string | null },
): Omit<Finished, 'page' | 'school'> {
  const ground = bareGround(paper);
  const { layers, effect } = recipe;
  const covers = layers.map(() => 0);
  const values: { value: number; areaMm2: number }[] = [];
  let [area, bare, covered, bareCovered] = [0, 0, 0, 0];
  for (const { id, usableWidthMm } of own) {
    const places = areas.get(id) ?? [];
    const sampled = samplePlaces(recipe, optics, ground, {
      places: places.map(({ place }) => place),
      widthMm: usableWidthMm,
    });
    places.forEach(({ place, areaMm2 }, k) => {
      const { lab, specks, layers: there } = sampled[k];
      area += areaMm2;
      bare += specks * areaMm2;
      if (there.length > 0) [covered, bareCovered] = [covered + areaMm2, bareCovered + specks * areaMm2];
      values.push({ value: lab[0], areaMm2 });
      layers.forEach(({ zone, fromWidthMm }, i) => {
        if (usableWidthMm >= fromWidthMm) covers[i] += areaMm2 * shareInZone(zone, place);
      });
    });
  }
  values.sort((p, q) => p.value - q.value);
  const quantile = (share: number) => {
    let sum = 0;
    return values.find(({ areaMm2 }) => (sum += areaMm2) >= share * area)?.value ?? NaN;
  };
  const context = { regions: own, form: form ?? undefined };
  const steps = makeSteps([{ id: 'thing', regions: own, recipe }], { valueOf: () => 0 });
  return {
    effect,
    areaMm2: area,
    isWide: isToReach(context),
    bare: area > 0 ? bare / area : 0,
    bareCovered: covered > 0 ? bareCovered / covered : 0,
    darkest: quantile(0.05),
    lightest: quantile(0.95),
    step: largestSoftStep(recipe, optics, ground),
    layers: layers.length,
    placeless: covers.filter((mm2) => mm2 < PLACE * area).length,
    minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
    findings: checkRecipe(recipe, context, optics, ground).map(({ kind }) => kind),
  };
}

/** Many things in one row, by area. */
function row<Names extends Record<string, string>>(names: Names, things: readonly Finished[]) {
  const area = things.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const mean = (of: (each: Finished) => number) =>
    things.reduce((sum, each) => sum + (each.areaMm2 / Math.max(1e-9, area)) * of(each), 0);
  const wide = things.filter(({ isWide }) => isWide);
  const range = ({ darkest, lightest }: Finished) => lightest - darkest;
  return {
    ...names,
    things: things.length,
    cm2: area / 100,
    'bare, %': 100 * mean(({ bare }) => bare),
    'where laid, %': 100 * mean(({ bareCovered }) => bareCovered),
    'darkest L*': Math.min(...things.map(({ darkest }) => darkest)),
    'mean range': mean(range),
    'flat of wide': `${wide.filter((each) => range(each) < REACHED.range).length} of ${wide.length}`,
    'largest step': Math.max(...things.map(({ step }) => step)),
    layers: things.reduce((sum, { layers }) => sum + layers, 0),
    'without a place': things.reduce((sum, { placeless }) => sum + placeless, 0),
    'min a cm2': things.reduce((sum, { minutes }) => sum + minutes, 0) / Math.max(1e-9, area / 100),
  };
}

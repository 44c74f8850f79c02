import { z } from 'zod';
import {
  Evenings,
  Family,
  SegmentationOptions,
  Horizon,
  Id,
  IMPORTANCES,
  Light,
  MainLight,
  Lamp,
  NO_EVENINGS,
  NO_HORIZON,
  NO_WISHES,
  OpenThings,
  PLAN_VERSION,
  Page,
  PaperFacts,
  Plan,
  RecipeEdits,
  RegionGround,
  RegionUse,
  RepairOfThing,
  Texture,
  Thing,
  UNKNOWN_PAPER,
  USUAL_FINDING,
  PaletteWishes,
  newThing,
} from '../../contracts/index.ts';
import { HANDS, USUAL_RULES } from '../../core/bench/index.ts';
import { frontToBack } from '../select.ts';

/** Families at first named a dark, a mid and a light pencil, and nothing beside them. */
const ThreePencils = z.object({ dark: Id, mid: Id, light: Id });
const FamilyThen = z.preprocess((family) => {
  const three = ThreePencils.safeParse(family);
  const given = three.success
    ? { pencils: [three.data.dark, three.data.mid, three.data.light] }
    : (family as Record<string, unknown>);
  return { blender: null, depth: null, accent: null, neutral: null, ...given };
}, Family);

const PARTS_OF_EDITS = new Set(Object.keys(RecipeEdits.shape));
/** At first only single layers could be changed, and the changes were kept by layer. */
const EditsThen = z.preprocess((edits) => {
  const older =
    typeof edits === 'object' && edits !== null && Object.keys(edits).some((key) => !PARTS_OF_EDITS.has(key));
  return older ? { layers: edits } : edits;
}, RecipeEdits);

const ThingThen = z.object({
  id: Id,
  name: Thing.shape.name,
  regionIds: Thing.shape.regionIds,
  focus: z.boolean(),
  natural: Thing.shape.natural,
  material: Thing.shape.material.default(null),
  importance: z.enum(IMPORTANCES).default('usual'),
  within: Id.nullable().default(null),
  guessed: z.boolean().default(false),
});

const GlowThen = Light.extend({
  thingId: Id.nullable(),
  at: Lamp.shape.at.nullable(),
  pencil: Id.nullable().default(null),
});

const byThing = <T extends z.ZodType>(value: T) => z.record(Id, value);
const byRegion = <T extends z.ZodType>(value: T) => z.record(z.string().regex(/^[1-9]\d{0,4}$/), value);

/** A plan as it was kept in sections, each changed and undone whole. The first ones lack some of them. */
const PlanThen = z.object({
  page: Page,
  paperFacts: PaperFacts.default(UNKNOWN_PAPER),
  finding: SegmentationOptions.default(USUAL_FINDING),
  uses: byRegion(RegionUse).default({}),
  grounds: byRegion(RegionGround).default({}),
  textures: byRegion(Texture).default({}),
  things: z.array(ThingThen).default([]),
  wheel: z.object({
    anchor: z.number(),
    scheme: z.string(),
    wheel: z.enum(['painters', 'perceptual']).default('painters'),
    hands: z.array(z.number()).default([]),
  }),
  wishes: z.preprocess((wishes) => ({ ...NO_WISHES, ...(wishes as object) }), PaletteWishes),
  pinned: z.array(Id).default([]),
  hours: Plan.shape.hours.default({ evenings: null, gentle: false }),
  families: byThing(FamilyThen).default({}),
  light: MainLight,
  glows: z.array(GlowThen).default([]),
  horizon: Horizon.default(NO_HORIZON),
  forms: byThing(z.string()).default({}),
  layers: z.object({
    school: z.string(),
    schools: byThing(z.string()).default({}),
    effects: byThing(z.string()).default({}),
    edits: byThing(EditsThen).default({}),
  }),
  bench: z.object({
    openThings: OpenThings,
    sittingMinutes: z.number(),
    hand: z.enum(HANDS).default('right'),
    rules: z.array(z.string()).default([...USUAL_RULES]),
    evenings: Evenings.default(NO_EVENINGS),
    repairs: z.array(RepairOfThing.extend({ thingId: Id })).default([]),
  }),
});

/**
 * A plan in sections as one document. What was decided for things that are no longer there is let go.
 * @throws ZodError where it is no such plan
 */
export function fromVersion1(stored: unknown): Plan {
  const { uses, grounds, textures, things, pinned, families, glows, forms, layers, bench, ...rest } =
    PlanThen.parse(stored);
  const { repairs, ...table } = bench;
  const own = things.map((thing) => {
    const glow = glows.find(({ thingId }) => thingId === thing.id);
    return newThing({
      ...thing,
      family: families[thing.id] ?? null,
      pinned: pinned.includes(thing.id),
      form: forms[thing.id] ?? null,
      effect: layers.effects[thing.id] ?? null,
      school: layers.schools[thing.id] ?? null,
      edits: layers.edits[thing.id] ?? null,
      glow: glow ? { reachMm: glow.reachMm, strength: glow.strength, pencil: glow.pencil } : null,
      repairs: repairs.filter(({ thingId }) => thingId === thing.id),
    });
  });
  const lamps = glows.flatMap(({ thingId, at, ...light }, i) => {
    const id = `lamp-${String(i + 1).padStart(4, '0')}`;
    return thingId === null && at ? [[id, { ...light, id, at }] as const] : [];
  });
  const named = new Set([uses, grounds, textures].flatMap((said) => Object.keys(said)));
  const regions = [...named].map((id) => {
    const about = { use: uses[id], ground: grounds[id], texture: textures[id] };
    return [id, Object.fromEntries(Object.entries(about).filter(([, value]) => value !== undefined))] as const;
  });
  return Plan.parse({
    ...rest,
    version: PLAN_VERSION,
    regionsFrom: null,
    regions: Object.fromEntries(regions),
    things: frontToBack(own),
    aside: { shapes: [], things: {} },
    lamps: Object.fromEntries(lamps),
    school: layers.school,
    bench: table,
  });
}

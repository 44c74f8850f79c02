import { z } from 'zod';
import { HANDS, REPAIR, USUAL_RULES } from '../core/bench/index.ts';
import { PRESSURES, TOOTH_LEFT } from '../core/laydown/index.ts';
import { FREE_MOOD, MOST_HANDS, USUAL_SHARES } from '../core/palette/index.ts';
import { FIELDS, MOST_SOURCES } from '../core/light/index.ts';
import { GROUND_KINDS } from '../core/render/index.ts';
import { DIRECTIONS, MOST_PENCILS, POINTS, ROLES, STROKES } from '../core/recipe/index.ts';
import { Hex, Id, Millimetres, Name } from './primitives.ts';

export const RegionId = z.number().int().min(1).max(65_535);

export const IMPORTANCES = ['little', 'usual', 'much'] as const;

const Point = z.object({ x: z.number().min(-5).max(1300), y: z.number().min(-5).max(1300) });

/** What was mended by hand on the regions, in mm of the page. */
export const Mend = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('cut'), points: z.array(Point).min(2).max(400) }),
  z.object({ kind: z.literal('open'), at: Point }),
  z.object({ kind: z.literal('join'), a: Point, b: Point }),
  z.object({ kind: z.literal('drop'), at: Point }),
]);
export type Mend = z.infer<typeof Mend>;

/** How the regions of a sheet are found. */
export const SegmentationOptions = z.object({
  /** How pale ink may be, 0 only black to 1 anything darker than paper. */
  palestInk: z.number().min(0).max(1),
  /** The widest gap in an outline that is closed or asked about. */
  closeGapMm: z.number().min(0).max(3),
  /** White areas smaller than this do not matter. */
  minRegionMm2: z.number().min(0.05).max(20),
  mends: z.array(Mend).max(3000),
});
export type SegmentationOptions = z.infer<typeof SegmentationOptions>;

export const USUAL_FINDING: SegmentationOptions = { palestInk: 0.5, closeGapMm: 1.1, minRegionMm2: 0.3, mends: [] };

/** What a person decided about single regions, by region id: they are left out of every layer. */
export const REGION_USES = ['not to colour', 'leave white'] as const;
export const RegionUse = z.enum(REGION_USES);
export type RegionUse = z.infer<typeof RegionUse>;

/** What to do with dots and lines that the artist put into a region to suggest shade or pattern. */
export const TEXTURES = ['follow', 'ignore'] as const;
export const Texture = z.enum(TEXTURES);
export type Texture = z.infer<typeof Texture>;

/** What lies on a region before anything is laid by plan. */
export const RegionGround = z.object({
  kind: z.enum(GROUND_KINDS),
  /** As seen; of no meaning where it is bare. */
  colour: Hex,
  /** How much a coloured place still takes, as it feels; null where nobody felt it. */
  toothLeft: z.enum(TOOTH_LEFT).nullable(),
});
export type RegionGround = z.infer<typeof RegionGround>;

/** What else is known of the paper beside its tooth and tint; null where nobody said. */
export const PaperFacts = z.object({
  weightGsm: z.number().min(40, 'Paper weighs at least 40 g/m².').max(800, 'Paper weighs at most 800 g/m².').nullable(),
  bound: z.boolean().nullable(),
  printedOnBothSides: z.boolean().nullable(),
  waterSafe: z.boolean().nullable(),
  inkRuns: z.boolean().nullable(),
  paleOutlines: z.boolean().nullable(),
  /** What a test of the paper or the ink showed. */
  testNote: z.string().trim().max(300),
});
export type PaperFacts = z.infer<typeof PaperFacts>;

export const UNKNOWN_PAPER: PaperFacts = {
  weightGsm: null,
  bound: null,
  printedOnBothSides: null,
  waterSafe: null,
  inkRuns: null,
  paleOutlines: null,
  testNote: '',
};

export const Page = z.object({ widthMm: Millimetres, heightMm: Millimetres, paper: z.string().max(40) });
export type Page = z.infer<typeof Page>;

const ExtraPencil = Id.nullable();

/** The ordered pencils given to a thing, from dark to light, and what may stand beside them. */
export const Family = z.object({
  pencils: z
    .array(Id)
    .min(1, 'A family holds at least one pencil.')
    .max(MOST_PENCILS, `A family holds at most ${MOST_PENCILS} pencils.`)
    .readonly(),
  blender: ExtraPencil,
  depth: ExtraPencil,
  accent: ExtraPencil,
  neutral: ExtraPencil,
});

export const LightPlan = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('ambient') }),
  z.object({
    kind: z.literal('direction'),
    azimuthDegrees: z.number().min(0).max(360),
    heightDegrees: z.number().min(5).max(90),
  }),
  z.object({ kind: z.literal('behind') }),
]);

/** Light that something sheds around it. */
export const Light = z.object({
  reachMm: z.number().min(1, 'A glow reaches at least 1 mm.').max(300, 'A glow reaches at most 300 mm.'),
  strength: z.number().min(0.05).max(1),
  /** A pencil of the colour of its light; null: the colour of what glows. */
  pencil: Id.nullable(),
});
export type Light = z.infer<typeof Light>;

/** A point of the page that glows, mm. */
export const Lamp = Light.extend({ id: Id, at: Point });
export type Lamp = z.infer<typeof Lamp>;

/** Where still water begins, and where lines that run away from the viewer meet, in mm of the page. */
export const Horizon = z.object({
  waterLineMm: z.number().min(0, 'The water line lies on the page.').max(1300).nullable(),
  /** Whether the water is rippled. */
  rippled: z.boolean(),
  vanishing: Point.nullable(),
});
export type Horizon = z.infer<typeof Horizon>;
export const NO_HORIZON: Horizon = { waterLineMm: null, rippled: false, vanishing: null };

const Share = z.number().min(0).max(1);
const Softness = z.number().min(0, 'An edge fades over 0 mm or more.').max(400);

const Span = z.object({
  field: z.enum(FIELDS),
  from: Share,
  to: Share,
  softnessMm: Softness,
  overMm: z.number().positive().max(2000),
  hardTo: z.boolean().optional(),
  source: z
    .int()
    .min(0)
    .max(MOST_SOURCES - 1)
    .optional(),
});
export const Zone = Span.extend({ and: Span.optional() });

const LayerId = z.string().min(1).max(40);
const Passes = z.int().min(1, 'A layer is gone over at least once.').max(6, 'A layer is gone over at most six times.');
const Purpose = z.string().trim().min(1).max(200);
const DryMinutes = z.number().min(0).max(600);

/** A layer as it stands in a recipe. */
export const Layer = z.object({
  id: LayerId,
  pencil: Id,
  role: z.enum(ROLES),
  pressure: z.enum(PRESSURES),
  passes: Passes,
  zone: Zone,
  stroke: z.enum(STROKES),
  direction: z.enum(DIRECTIONS).optional(),
  point: z.enum(POINTS),
  tool: z.string().max(40).optional(),
  dryMinutes: DryMinutes.optional(),
  purpose: Purpose,
  fromWidthMm: z.number().min(0).max(100),
});

/** What a person changed in one layer. */
export const LayerEdit = z
  .object({
    pencil: Id,
    pressure: z.enum(PRESSURES),
    passes: Passes,
    from: Share,
    to: Share,
    softnessMm: Softness,
    hardTo: z.boolean(),
    stroke: z.enum(STROKES),
    direction: z.enum(DIRECTIONS).nullable(),
    point: z.enum(POINTS),
    tool: z.string().max(40).nullable(),
    dryMinutes: DryMinutes,
    purpose: Purpose,
  })
  .partial();

/** What a person changed in a recipe. */
export const RecipeEdits = z.object({
  layers: z.record(LayerId, LayerEdit).optional(),
  without: z.array(LayerId).max(100).readonly().optional(),
  added: z.array(Layer).max(40, 'A person adds at most 40 layers to a recipe.').readonly().optional(),
  order: z.array(LayerId).max(100).readonly().optional(),
});

const Axis = z.number().min(-1).max(1).nullable();
const Percent = z.number().min(0).max(100);

/** What a person wants of a palette, beside the scheme and what is said of single things. */
export const Wishes = z.object({
  must: z.array(Id).max(60),
  mustNot: z.array(Id).max(1000),
  /** The only pencils that may come in; none: every one. */
  only: z.array(Id).max(200),
  atMost: z.int().min(1, 'A palette has at least one pencil.').max(200).nullable(),
  mood: z.object({ light: Axis, clear: Axis, warm: Axis, contrast: Axis }),
  /** Whether sky, water, leaves and the like may have any colour. */
  anyNature: z.boolean(),
  /** Percent of the area for what rules, supports and accents. */
  shares: z.tuple([Percent, Percent, Percent]).readonly(),
});
export type Wishes = z.infer<typeof Wishes>;

export const NO_WISHES: Wishes = {
  must: [],
  mustNot: [],
  only: [],
  atMost: null,
  mood: FREE_MOOD,
  anyNature: false,
  shares: USUAL_SHARES,
};

/** On which days of the week there is a sitting, 0 Sunday to 6 Saturday, and from when on; no day: whenever there is time. */
export const Evenings = z.object({
  weekdays: z.array(z.int().min(0).max(6)).max(7),
  at: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Give a time as hours and minutes, such as 19:30.'),
  /** The first day, as year, month and day; null: today. */
  from: z.iso.date().nullable(),
});
export type Evenings = z.infer<typeof Evenings>;
export const NO_EVENINGS: Evenings = { weekdays: [], at: '19:30', from: null };

/** A step that makes a mistake on a thing good, beside those that recipes ask for. */
export const Repair = z.object({
  id: z.string().regex(new RegExp(`^${REPAIR}[A-Za-z0-9_-]{1,30}$`)),
  regionIds: z.array(RegionId).max(5000).readonly(),
  pencil: Id,
  tool: z.string().max(40).optional(),
  pressure: z.enum(PRESSURES),
  passes: Passes,
  areaMm2: z.number().min(0).max(2_000_000),
  when: z.enum(['next', 'last']),
  purpose: z.string().trim().min(1).max(400),
});

/** Regions that belong together, a lantern or a petal ring, with everything that was decided for them. */
export const Thing = z.strictObject({
  id: Id,
  name: Name,
  regionIds: z.array(RegionId).max(5000),
  /** How far behind it lies: in front of every thing of a greater depth. */
  depth: z.number(),
  /** Whether the eye should go here first. */
  focus: z.boolean(),
  /** The natural colour that it must keep, or null where it is free. */
  natural: Hex.nullable(),
  /** What it is made of, by the material's id; null where nobody said. */
  material: z.string().max(20).nullable(),
  /** How much work it is worth when evenings are few. */
  importance: z.enum(IMPORTANCES),
  /** The thing that this one is a part of, one level deep. */
  within: Id.nullable(),
  /** Whether the application gathered it and nobody has looked at it yet. */
  guessed: z.boolean(),
  family: Family.nullable(),
  /** Whether its family stays as it is when palettes are proposed. */
  pinned: z.boolean(),
  /** How it is lit, by the form's id; null: as proposed from what it is made of and where it lies. */
  form: z.string().max(40).nullable(),
  /** What it is made to look like, by the effect's id; null: as its material asks for. */
  effect: z.string().max(40).nullable(),
  /** Its own school, over the sheet's. */
  school: z.string().max(40).nullable(),
  /** What a person changed in its recipe. */
  edits: RecipeEdits.nullable(),
  /** The light that it sheds, where it glows. */
  glow: Light.nullable(),
  /** In the order in which they were decided, done or not. */
  repairs: z.array(Repair).max(1000, 'A thing remembers at most 1000 repairs.'),
});
export type Thing = z.infer<typeof Thing>;

/** A thing as it begins, with everything about it still open; in front of all that has a depth above 0. */
export function newThing(begun: Pick<Thing, 'id' | 'name' | 'regionIds'> & Partial<Thing>): Thing {
  return {
    depth: 0,
    focus: false,
    natural: null,
    material: null,
    importance: 'usual',
    within: null,
    guessed: false,
    family: null,
    pinned: false,
    form: null,
    effect: null,
    school: null,
    edits: null,
    glow: null,
    repairs: [],
    ...begun,
  };
}

/** What a person said of one region. */
export const AboutRegion = z.strictObject({
  use: RegionUse.optional(),
  /** Over what was read from the page. */
  ground: RegionGround.optional(),
  texture: Texture.optional(),
});
export type AboutRegion = z.infer<typeof AboutRegion>;

/** A shape whose region is no longer found, with all that was decided for it. */
export const AsideShape = z.strictObject({
  /** A point well within it, mm of the page, and its size. */
  at: Point,
  areaMm2: z.number().min(0),
  thingId: Id.nullable(),
  about: AboutRegion.nullable(),
  /** Repairs that were to be made on it, by id. */
  repairs: z.array(z.string()).max(1000),
});
export type AsideShape = z.infer<typeof AsideShape>;

/** Plans of another version are brought up to this one when they are read. */
export const PLAN_VERSION = 2;

const recordById = <T extends z.ZodType<{ id: string }>>(value: T, most: number, tooMany: string) =>
  z
    .record(Id, value)
    .refine((all) => Object.keys(all).length <= most, tooMany)
    .refine((all) => Object.entries(all).every(([id, { id: own }]) => id === own), 'An id and what it names disagree.');

/** Everything decided about a sheet: one document, changed by patches. */
export const Plan = z.strictObject({
  version: z.literal(PLAN_VERSION),
  page: Page,
  paperFacts: PaperFacts,
  finding: SegmentationOptions,
  /** Names the regions that ids speak of, by what they were found from; null while none are. */
  regionsFrom: z.string().min(1).max(200).nullable(),
  /** By region id. */
  regions: z.record(z.string().regex(/^[1-9]\d{0,4}$/), AboutRegion),
  things: recordById(Thing, 5000, 'A sheet holds at most 5000 things.')
    .refine(
      (things) => Object.values(things).every(({ regionIds }) => regionIds.length > 0),
      'A thing holds at least one region.',
    )
    .refine((things) => {
      const ids = Object.values(things).flatMap(({ regionIds }) => regionIds);
      return new Set(ids).size === ids.length;
    }, 'A region can belong to one thing only.'),
  /** Shapes that lost their regions, and things that lost all of theirs: kept until they find a home or are let go. */
  aside: z.object({
    shapes: z.array(AsideShape).max(20_000),
    things: recordById(Thing, 5000, 'A sheet keeps at most 5000 things aside.'),
  }),
  wheel: z.object({
    anchor: z.number().min(0).max(360),
    scheme: z.string().max(40),
    /** Which wheel angles are measured on. */
    wheel: z.enum(['painters', 'perceptual']),
    /** Hands of a free scheme, degrees from the anchor; none: the scheme's own. */
    hands: z.array(z.number().min(-360).max(360)).max(MOST_HANDS),
  }),
  wishes: Wishes,
  /** How much time the page may take. */
  hours: z.object({
    /** Evenings of one sitting each that it is to be done in; null: as long as it takes. */
    evenings: z.int().min(1).max(100).nullable(),
    /** Whether firm pressure is avoided. */
    gentle: z.boolean(),
  }),
  light: LightPlan,
  /** Points of the page that glow, beside the things that do. */
  lamps: recordById(Lamp, 200, 'At most 200 points of a page glow.'),
  horizon: Horizon,
  /** The school of all things that have none of their own. */
  school: z.string().max(40),
  bench: z.object({
    openThings: z.int().min(1).max(50),
    sittingMinutes: z.number().min(10, 'A sitting is 10 minutes at least.').max(90, 'A sitting is 90 minutes at most.'),
    hand: z.enum(HANDS),
    /** Rules of craft that are kept, by id, the one that weighs most first. */
    rules: z.array(z.string().max(40)).max(20).readonly(),
    evenings: Evenings,
  }),
});
export type Plan = z.infer<typeof Plan>;

/** Sets the value at a path of the plan, or takes it away where none is given. Lists are set whole. */
export const Patch = z.object({
  path: z.array(z.string().min(1).max(60)).min(1).max(8).readonly(),
  value: z.json().optional(),
});
export type Patch = z.infer<typeof Patch>;

export const STAGES = ['sheet', 'wheel', 'light', 'layers', 'bench', 'record'] as const;
export const Stage = z.enum(STAGES);
export type Stage = z.infer<typeof Stage>;

const Patches = z.array(Patch).min(1, 'A change changes something.').max(50_000).readonly();

/** One change to a plan, as it is sent, logged and undone. */
export const Command = z.object({
  id: Id,
  stage: Stage,
  /** What was done, in a few words: "name Brass bell". */
  label: z.string().trim().min(1).max(120),
  patches: Patches,
  /** What takes it back: says of each place what stood there for the person who changed it. */
  inverse: Patches,
  /** The regions that it speaks of. */
  regionsFrom: z.string().max(200).nullable(),
});
export type Command = z.infer<typeof Command>;

/** A plan as nothing has been decided yet. */
export function emptyPlan(page: Page): Plan {
  return {
    version: PLAN_VERSION,
    page,
    paperFacts: UNKNOWN_PAPER,
    finding: USUAL_FINDING,
    regionsFrom: null,
    regions: {},
    things: {},
    aside: { shapes: [], things: {} },
    wheel: { anchor: 60, scheme: 'complementary', wheel: 'painters', hands: [] },
    wishes: NO_WISHES,
    hours: { evenings: null, gentle: false },
    light: { kind: 'ambient' },
    lamps: {},
    horizon: NO_HORIZON,
    school: 'base-coat-first',
    bench: { openThings: 4, sittingMinutes: 40, hand: 'right', rules: USUAL_RULES, evenings: NO_EVENINGS },
  };
}

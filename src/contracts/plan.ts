import { z } from 'zod';
import { HANDS, REPAIR, USUAL_RULES } from '../core/bench/index.ts';
import { PRESSURES, TOOTH_LEFT } from '../core/laydown/index.ts';
import { FREE_MOOD, MOST_HANDS, USUAL_SHARES } from '../core/palette/index.ts';
import { FIELDS, MOST_SOURCES } from '../core/light/index.ts';
import { DIRECTIONS, MOST_PENCILS, POINTS, ROLES, STROKES } from '../core/recipe/index.ts';
import { Hex, Id, Millimetres, Name } from './primitives.ts';

export const RegionId = z.number().int().min(1).max(65_535);

export const IMPORTANCES = ['little', 'usual', 'much'] as const;

/** Regions that belong together: a lantern, a petal ring. */
export const Thing = z.object({
  id: Id,
  name: Name,
  regionIds: z.array(RegionId).min(1, 'A thing holds at least one region.').max(5000),
  /** Whether the eye should go here first. */
  focus: z.boolean(),
  /** The natural colour that it must keep, or null where it is free. */
  natural: Hex.nullable(),
  /** What it is made of, by the material's id; null where nobody said. */
  material: z.string().max(20).nullable().default(null),
  /** How much work it is worth when evenings are few. */
  importance: z.enum(IMPORTANCES).default('usual'),
  /** The thing that this one is a part of, one level deep. */
  within: Id.nullable().default(null),
  /** Whether the application gathered it and nobody has looked at it yet. */
  guessed: z.boolean().default(false),
});
export type Thing = z.infer<typeof Thing>;

/** A thing as it begins, with everything about it still open. */
export function newThing(begun: Pick<Thing, 'id' | 'name' | 'regionIds'> & Partial<Thing>): Thing {
  return { focus: false, natural: null, material: null, importance: 'usual', within: null, guessed: false, ...begun };
}

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
export const Finding = z.object({
  /** How pale ink may be, 0 only black to 1 anything darker than paper. */
  palestInk: z.number().min(0).max(1),
  /** The widest gap in an outline that is closed or asked about. */
  closeGapMm: z.number().min(0).max(3),
  /** White areas smaller than this do not matter. */
  minRegionMm2: z.number().min(0.05).max(20),
  mends: z.array(Mend).max(3000),
});
export type Finding = z.infer<typeof Finding>;

export const USUAL_FINDING: Finding = { palestInk: 0.5, closeGapMm: 1.1, minRegionMm2: 0.3, mends: [] };

/** What a person decided about single regions, by region id: they are left out of every layer. */
export const REGION_USES = ['not to colour', 'leave white'] as const;
export const RegionUse = z.enum(REGION_USES);
export type RegionUse = z.infer<typeof RegionUse>;

/** What to do with dots and lines that the artist put into a region to suggest shade or pattern. */
export const TEXTURES = ['follow', 'ignore'] as const;
export const Texture = z.enum(TEXTURES);
export type Texture = z.infer<typeof Texture>;

/** What lies on a region before anything is laid by plan. */
export const GROUND_KINDS = ['bare', 'printed grey', 'wash', 'coloured'] as const;
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

/** Families of before named a dark, a mid and a light pencil. */
const ThreePencils = z.object({ dark: Id, mid: Id, light: Id });
const ExtraPencil = Id.nullable().default(null);

/** The ordered pencils given to a thing, from dark to light, and what may stand beside them. */
export const Family = z.preprocess(
  (family) => {
    const three = ThreePencils.safeParse(family);
    return three.success ? { pencils: [three.data.dark, three.data.mid, three.data.light] } : family;
  },
  z.object({
    pencils: z
      .array(Id)
      .min(1, 'A family holds at least one pencil.')
      .max(MOST_PENCILS, `A family holds at most ${MOST_PENCILS} pencils.`)
      .readonly(),
    blender: ExtraPencil,
    depth: ExtraPencil,
    accent: ExtraPencil,
    neutral: ExtraPencil,
  }),
);

export const LightPlan = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('ambient') }),
  z.object({
    kind: z.literal('direction'),
    azimuthDegrees: z.number().min(0).max(360),
    heightDegrees: z.number().min(5).max(90),
  }),
  z.object({ kind: z.literal('behind') }),
]);

/** Something that glows: a thing, or a point of the page in mm. */
export const Glow = z
  .object({
    thingId: Id.nullable(),
    at: Point.nullable(),
    reachMm: z.number().min(1, 'A glow reaches at least 1 mm.').max(300, 'A glow reaches at most 300 mm.'),
    strength: z.number().min(0.05).max(1),
    /** A pencil of the colour of its light; null: the colour of what glows. */
    pencil: Id.nullable().default(null),
  })
  .refine(
    ({ thingId, at }) => thingId !== null || at !== null,
    'A glow comes from a thing or from a point of the page.',
  );
export type Glow = z.infer<typeof Glow>;

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

const Edits = z.object({
  layers: z.record(LayerId, LayerEdit).optional(),
  without: z.array(LayerId).max(100).readonly().optional(),
  added: z.array(Layer).max(40, 'A person adds at most 40 layers to a recipe.').readonly().optional(),
  order: z.array(LayerId).max(100).readonly().optional(),
});
const PARTS_OF_EDITS = new Set(Object.keys(Edits.shape));

/** What a person changed in a recipe. Older plans kept the changes of single layers alone. */
export const RecipeEdits = z.preprocess((edits) => {
  const older =
    typeof edits === 'object' && edits !== null && Object.keys(edits).some((key) => !PARTS_OF_EDITS.has(key));
  return older ? { layers: edits } : edits;
}, Edits);

const Axis = z.number().min(-1).max(1).nullable();
const Percent = z.number().min(0).max(100);

/** What a person wants of a palette, beside the scheme and what is said of single things. */
export const Wishes = z.object({
  must: z.array(Id).max(60),
  mustNot: z.array(Id).max(1000),
  /** The only pencils that may come in; none: every one. */
  only: z.array(Id).max(200).default([]),
  atMost: z.int().min(1, 'A palette has at least one pencil.').max(200).nullable(),
  mood: z.object({ light: Axis, clear: Axis, warm: Axis, contrast: Axis }),
  /** Whether sky, water, leaves and the like may have any colour. */
  anyNature: z.boolean().default(false),
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

/** A step that makes a mistake good, beside those that recipes ask for. */
const Repair = z.object({
  id: z.string().regex(new RegExp(`^${REPAIR}[A-Za-z0-9_-]{1,30}$`)),
  thingId: Id,
  regionIds: z.array(RegionId).min(1).max(5000).readonly(),
  pencil: Id,
  tool: z.string().max(40).optional(),
  pressure: z.enum(PRESSURES),
  passes: Passes,
  areaMm2: z.number().min(0).max(2_000_000),
  when: z.enum(['next', 'last']),
  purpose: z.string().trim().min(1).max(400),
});

const byThing = <T extends z.ZodType>(value: T) => z.record(Id, value);

const byRegion = <T extends z.ZodType>(value: T) => z.record(z.string().regex(/^[1-9]\d{0,4}$/), value);

const sections = {
  page: Page,
  paperFacts: PaperFacts,
  finding: Finding,
  uses: byRegion(RegionUse),
  /** What a person said of single regions' grounds, over what was read from the page. */
  grounds: byRegion(RegionGround),
  textures: byRegion(Texture),
  /** From what lies in front to what lies behind. */
  things: z
    .array(Thing)
    .max(5000)
    .refine((things) => {
      const ids = things.flatMap((thing) => thing.regionIds);
      return new Set(ids).size === ids.length;
    }, 'A region can belong to one thing only.'),
  wheel: z.object({
    anchor: z.number().min(0).max(360),
    scheme: z.string().max(40),
    /** Which wheel angles are measured on. */
    wheel: z.enum(['painters', 'perceptual']).default('painters'),
    /** Hands of a free scheme, degrees from the anchor; none: the scheme's own. */
    hands: z.array(z.number().min(-360).max(360)).max(MOST_HANDS).default([]),
  }),
  wishes: Wishes,
  /** Things whose families stay as they are when palettes are proposed. */
  pinned: z.array(Id).max(5000),
  /** How much time the page may take. */
  hours: z.object({
    /** Evenings of one sitting each that it is to be done in; null: as long as it takes. */
    evenings: z.int().min(1).max(100).nullable(),
    /** Whether firm pressure is avoided. */
    gentle: z.boolean(),
  }),
  families: byThing(Family),
  light: LightPlan,
  /** What glows on the page, beside its main light. */
  glows: z.array(Glow).max(200),
  horizon: Horizon,
  forms: byThing(z.string().max(40)),
  layers: z.object({
    school: z.string().max(40),
    /** Schools of single things, over the sheet's own. */
    schools: byThing(z.string().max(40)),
    /** What single things are made to look like, over what their materials ask for. */
    effects: byThing(z.string().max(40)).default({}),
    /** Changes to recipes, by thing. */
    edits: byThing(RecipeEdits),
  }),
  bench: z.object({
    openThings: z.int().min(1).max(50),
    sittingMinutes: z.number().min(10, 'A sitting is 10 minutes at least.').max(90, 'A sitting is 90 minutes at most.'),
    hand: z.enum(HANDS).default('right'),
    /** Rules of craft that are kept, by id, the one that weighs most first. */
    rules: z.array(z.string().max(40)).max(20).readonly().default(USUAL_RULES),
    evenings: Evenings.default(NO_EVENINGS),
    /** In the order in which they were decided, done or not. */
    repairs: z.array(Repair).max(1000, 'A sheet remembers at most 1000 repairs.').default([]),
  }),
};

/** Everything decided about a sheet, in sections that are changed and undone whole. Older plans lack some sections. */
export const Plan = z.object({
  ...sections,
  paperFacts: sections.paperFacts.default(UNKNOWN_PAPER),
  finding: sections.finding.default(USUAL_FINDING),
  uses: sections.uses.default({}),
  grounds: sections.grounds.default({}),
  textures: sections.textures.default({}),
  wishes: sections.wishes.default(NO_WISHES),
  pinned: sections.pinned.default([]),
  hours: sections.hours.default({ evenings: null, gentle: false }),
  glows: sections.glows.default([]),
  horizon: sections.horizon.default(NO_HORIZON),
});
export type Plan = z.infer<typeof Plan>;

/** Some sections of a plan, each whole. */
export const PlanChange = z.object(sections).partial();
export type PlanChange = z.infer<typeof PlanChange>;

export const STAGES = ['page', 'wheel', 'light', 'layers', 'bench', 'record'] as const;
export const Stage = z.enum(STAGES);
export type Stage = z.infer<typeof Stage>;

/** One change to a plan, as it is sent, logged and undone. */
export const Command = z.object({
  id: Id,
  stage: Stage,
  /** What was done, in a few words: "name Brass bell". */
  label: z.string().trim().min(1).max(120),
  /** Revision of the plan that it was made against. */
  baseRevision: z.int().min(0),
  change: PlanChange.refine((change) => Object.keys(change).length > 0, 'A change changes at least one section.'),
});
export type Command = z.infer<typeof Command>;

/** A plan as nothing has been decided yet. */
export function emptyPlan(page: Page): Plan {
  return {
    page,
    paperFacts: UNKNOWN_PAPER,
    finding: USUAL_FINDING,
    uses: {},
    grounds: {},
    textures: {},
    things: [],
    wheel: { anchor: 60, scheme: 'complementary', wheel: 'painters', hands: [] },
    wishes: NO_WISHES,
    pinned: [],
    hours: { evenings: null, gentle: false },
    families: {},
    light: { kind: 'ambient' },
    glows: [],
    horizon: NO_HORIZON,
    forms: {},
    layers: { school: 'base-coat-first', schools: {}, effects: {}, edits: {} },
    bench: { openThings: 4, sittingMinutes: 40, hand: 'right', rules: USUAL_RULES, evenings: NO_EVENINGS, repairs: [] },
  };
}

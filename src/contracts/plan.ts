import { z } from 'zod';
import { BY_THE_PAGE, HANDS, USUAL_RULES } from '../core/bench/index.ts';
import { OpenThings, RepairOfThing } from '../core/bench/schemas.ts';
import { Light, MainLight } from '../core/light/schemas.ts';
import { RegionId, SegmentationOptions } from '../core/lineart/schemas.ts';
import { FREE_MOOD, USUAL_SHARES } from '../core/palette/index.ts';
import { PaletteWishes, WheelSetting } from '../core/palette/schemas.ts';
import { Hex, Id, PointOnPage } from '../core/primitives/schemas.ts';
import { Family, RecipeEdits } from '../core/recipe/schemas.ts';
import { RegionGround } from '../core/render/schemas.ts';
import { Millimetres, Name } from './primitives.ts';

export const IMPORTANCES = ['little', 'usual', 'much'] as const;

export const USUAL_FINDING: SegmentationOptions = { palestInk: 0.5, closeGapMm: 1.1, minRegionMm2: 0.3, mends: [] };

/** What a person decided about single regions, by region id: they are left out of every layer. */
export const REGION_USES = ['not to colour', 'leave white'] as const;
export const RegionUse = z.enum(REGION_USES);
export type RegionUse = z.infer<typeof RegionUse>;

/** What to do with dots and lines that the artist put into a region to suggest shade or pattern. */
export const TEXTURES = ['follow', 'ignore'] as const;
export const Texture = z.enum(TEXTURES);
export type Texture = z.infer<typeof Texture>;

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

/** A point of the page that glows, mm. */
export const Lamp = Light.extend({ id: Id, at: PointOnPage });
export type Lamp = z.infer<typeof Lamp>;

/** Where still water begins, and where lines that run away from the viewer meet, in mm of the page. */
export const Horizon = z.object({
  waterLineMm: z.number().min(0, 'The water line lies on the page.').max(1300).nullable(),
  /** Whether the water is rippled. */
  rippled: z.boolean(),
  vanishing: PointOnPage.nullable(),
});
export type Horizon = z.infer<typeof Horizon>;
export const NO_HORIZON: Horizon = { waterLineMm: null, rippled: false, vanishing: null };

export const NO_WISHES: PaletteWishes = {
  must: [],
  mustNot: [],
  only: [],
  atMost: null,
  mood: FREE_MOOD,
  anyNature: false,
  distance: 'scene',
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
  repairs: z.array(RepairOfThing).max(1000, 'A thing remembers at most 1000 repairs.'),
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
  at: PointOnPage,
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
  wheel: WheelSetting,
  wishes: PaletteWishes,
  /** How much time the page may take. */
  hours: z.object({
    /** Evenings of one sitting each that it is to be done in; null: as long as it takes. */
    evenings: z.int().min(1).max(100).nullable(),
    /** Whether firm pressure is avoided. */
    gentle: z.boolean(),
  }),
  light: MainLight,
  /** Points of the page that glow, beside the things that do. */
  lamps: recordById(Lamp, 200, 'At most 200 points of a page glow.'),
  horizon: Horizon,
  /** The school of all things that have none of their own. */
  school: z.string().max(40),
  bench: z.object({
    openThings: OpenThings,
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
    bench: { openThings: BY_THE_PAGE, sittingMinutes: 40, hand: 'right', rules: USUAL_RULES, evenings: NO_EVENINGS },
  };
}

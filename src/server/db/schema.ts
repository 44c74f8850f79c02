import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  customType,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  real,
  serial,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type {
  CameOut,
  LogEntry,
  NewBenchPlan,
  NewNote,
  NewPalette,
  NewRecipeCard,
  NewPracticeSeries,
  NewSwatch,
  NewTool,
  NewTrayFit,
  NewTrialPatch,
  NewTrial,
  Patch,
  Plan,
  RegionsMeta,
  Settings,
  SheetPlace,
  Step,
} from '../../contracts/index.ts';

const bytes = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' });
const now = (name: string) => timestamp(name, { withTimezone: true }).notNull().defaultNow();
const origin = () => text('origin').$type<'demo' | 'own'>().notNull();

/** Pictures and rasters, stored once by the hash of their content. */
export const blobs = pgTable('blobs', {
  hash: text('hash').primaryKey(),
  mime: text('mime').notNull(),
  bytes: bytes('bytes').notNull(),
});

export const trays = pgTable('trays', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  origin: origin(),
  createdAt: now('created_at'),
});

export const pencils = pgTable(
  'pencils',
  {
    id: text('id').primaryKey(),
    trayId: text('tray_id')
      .notNull()
      .references(() => trays.id, { onDelete: 'cascade' }),
    place: integer('place').notNull(),
    set: text('set').notNull(),
    code: text('code').notNull(),
    name: text('name').notNull(),
    ownName: text('own_name').notNull().default(''),
    type: text('type').notNull(),
    colour: text('colour').notNull(),
    opacity: real('opacity'),
    whereabouts: text('whereabouts').$type<'here' | 'stub' | 'missing' | 'ordered'>().notNull().default('here'),
    barrel: text('barrel'),
    note: text('note').notNull().default(''),
    hardness: real('hardness'),
    pointMinutes: real('point_minutes'),
    leadMm: real('lead_mm'),
    origin: origin(),
  },
  (t) => [uniqueIndex('pencils_set_code').on(t.trayId, t.set, t.code)],
);

/** Pens and tools beside the pencils of a tray. */
export const tools = pgTable('tools', {
  id: text('id').primaryKey(),
  trayId: text('tray_id')
    .notNull()
    .references(() => trays.id, { onDelete: 'cascade' }),
  place: integer('place').notNull(),
  content: jsonb('content').$type<NewTool>().notNull(),
  origin: origin(),
});

/** Patches of pencils as instruments read them. */
export const swatches = pgTable(
  'swatches',
  {
    id: text('id').primaryKey(),
    pencilId: text('pencil_id')
      .notNull()
      .references(() => pencils.id, { onDelete: 'cascade' }),
    paper: text('paper').notNull(),
    patch: text('patch').$type<NewSwatch['patch']>().notNull(),
    ground: text('ground').$type<NewSwatch['ground']>().notNull(),
    lab: jsonb('lab').$type<NewSwatch['lab']>().notNull(),
    over: text('over').references(() => pencils.id, { onDelete: 'cascade' }),
    origin: origin(),
    at: now('at'),
  },
  (t) => [index('swatches_pencil').on(t.pencilId)],
);

/** What the swatches of a tray on one paper come to; made anew whenever it is asked for. */
export const trayFits = pgTable(
  'tray_fits',
  {
    trayId: text('tray_id')
      .notNull()
      .references(() => trays.id, { onDelete: 'cascade' }),
    paper: text('paper').notNull(),
    content: jsonb('content').$type<NewTrayFit>().notNull(),
    at: now('at'),
  },
  (t) => [primaryKey({ columns: [t.trayId, t.paper] })],
);

/** Swatch cards that were printed, so that a picture of one says what lies where. */
export const swatchCards = pgTable(
  'swatch_cards',
  {
    id: text('id').primaryKey(),
    trayId: text('tray_id')
      .notNull()
      .references(() => trays.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
    paper: text('paper').notNull(),
    pencilIds: jsonb('pencil_ids').$type<string[]>().notNull(),
    emptyRows: integer('empty_rows').notNull(),
    origin: origin(),
    at: now('at'),
  },
  (t) => [index('swatch_cards_tray').on(t.trayId)],
);

/** Trial patches of a tray's pencils, with what really came out. */
export const trialPatches = pgTable(
  'trial_patches',
  {
    id: text('id').primaryKey(),
    trayId: text('tray_id')
      .notNull()
      .references(() => trays.id, { onDelete: 'cascade' }),
    content: jsonb('content').$type<NewTrialPatch>().notNull(),
    origin: origin(),
    at: now('at'),
  },
  (t) => [index('trial_patches_tray').on(t.trayId)],
);

/** Palettes kept apart from the sheets they were made for. */
export const palettes = pgTable('palettes', {
  id: text('id').primaryKey(),
  content: jsonb('content').$type<NewPalette>().notNull(),
  origin: origin(),
  at: now('at'),
});

/** Recipes kept apart from the things they were made for. */
export const recipeCards = pgTable('recipe_cards', {
  id: text('id').primaryKey(),
  content: jsonb('content').$type<NewRecipeCard>().notNull(),
  origin: origin(),
  at: now('at'),
});

export const sheets = pgTable('sheets', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  origin: origin(),
  trayId: text('tray_id')
    .notNull()
    .references(() => trays.id),
  /** The picture as it was brought in, and as it is worked on. */
  originalHash: text('original_hash')
    .notNull()
    .references(() => blobs.hash),
  pictureHash: text('picture_hash')
    .notNull()
    .references(() => blobs.hash),
  /** The page in colour, smaller; null for drawings. */
  coloursHash: text('colours_hash').references(() => blobs.hash),
  /** Width of the picture as it was brought in, pixels; null for drawings and photographs. */
  scannedWidth: integer('scanned_width'),
  pictureWidth: integer('picture_width').notNull(),
  pictureHeight: integer('picture_height').notNull(),
  /** A picture of the same size whose colours say which named thing lies where, and those names. */
  keyHash: text('key_hash').references(() => blobs.hash),
  keyThings: jsonb('key_things').$type<KeyThing[]>(),
  plan: jsonb('plan').$type<Plan>().notNull(),
  /** What the shelf shows of the plan, so that it need not be read for that: written with it. */
  widthMm: real('width_mm').notNull(),
  heightMm: real('height_mm').notNull(),
  paper: text('paper').notNull(),
  thingCount: integer('thing_count').notNull(),
  regionsFrom: text('regions_from'),
  revision: integer('revision').notNull().default(0),
  /** Where it lies: on the shelf, put by in the drawer, or thrown away and still to be had back. */
  place: text('place').$type<SheetPlace>().notNull().default('shelf'),
  createdAt: now('created_at'),
  updatedAt: now('updated_at'),
});

/** Pictures pinned to a sheet or one of its things; those that were taken down stay to be had back. */
export const references = pgTable(
  'reference_pictures',
  {
    id: text('id').primaryKey(),
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheets.id, { onDelete: 'cascade' }),
    thingId: text('thing_id'),
    name: text('name').notNull(),
    hash: text('hash')
      .notNull()
      .references(() => blobs.hash),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    pinned: boolean('pinned').notNull().default(true),
    at: now('at'),
  },
  (t) => [index('reference_pictures_sheet').on(t.sheetId)],
);

/** A named thing of a sheet's key: the colour that marks it and what is known of it. */
export interface KeyThing {
  mark: string;
  name: string;
  focus: boolean;
  natural: string | null;
  form: string | null;
  /** What it is made of; older keys do not say. */
  material?: string | null;
}

/** The regions of a sheet by what they were found from: the present ones, and those that undo can come back to. */
export const regionMaps = pgTable(
  'region_maps',
  {
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheets.id, { onDelete: 'cascade' }),
    from: text('from').notNull(),
    count: integer('count').notNull(),
    meta: jsonb('meta').$type<RegionsMeta>().notNull(),
    /** Their page index. */
    indexHash: text('index_hash')
      .notNull()
      .references(() => blobs.hash),
  },
  (t) => [primaryKey({ columns: [t.sheetId, t.from] })],
);

/** Every change to a plan with what takes it back, so that it can be undone after a reload and on another device. */
export const commands = pgTable(
  'commands',
  {
    id: text('id').primaryKey(),
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheets.id, { onDelete: 'cascade' }),
    seq: serial('seq').notNull(),
    stage: text('stage').notNull(),
    label: text('label').notNull(),
    patches: jsonb('patches').$type<Patch[]>().notNull().default([]),
    inverse: jsonb('inverse').$type<Patch[]>().notNull().default([]),
    /** Whole sections, as changes to plans of version 1 were logged; null once the plan is brought up to date. */
    before: jsonb('before').$type<Record<string, unknown>>(),
    after: jsonb('after').$type<Record<string, unknown>>(),
    undone: boolean('undone').notNull().default(false),
    at: now('at'),
  },
  (t) => [index('commands_sheet').on(t.sheetId, t.seq)],
);

/** Orders of steps as they were agreed; what is in them lies in rows of its own. */
export const benchPlans = pgTable(
  'bench_plans',
  {
    id: text('id').primaryKey(),
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheets.id, { onDelete: 'cascade' }),
    seq: serial('seq').notNull(),
    content: jsonb('content').$type<Omit<NewBenchPlan, 'steps' | 'order'>>().notNull(),
    madeAt: now('made_at'),
  },
  (t) => [index('bench_plans_sheet').on(t.sheetId, t.seq)],
);

/** How a step stands: by the last word of the log on it. */
export const STEP_STATES = ['open', 'done', 'skipped'] as const;

/** The steps of orders in turn, and how each stands. */
export const benchSteps = pgTable(
  'bench_steps',
  {
    planId: text('plan_id')
      .notNull()
      .references(() => benchPlans.id, { onDelete: 'cascade' }),
    stepId: text('step_id').notNull(),
    /** Its number among the steps as they were made, thing by thing, and its place in the order. */
    number: integer('number').notNull(),
    place: integer('place').notNull(),
    thingId: text('thing_id').notNull(),
    layerId: text('layer_id').notNull(),
    pencil: text('pencil').notNull(),
    tool: text('tool'),
    regionIds: integer('region_ids').array().notNull(),
    pressure: text('pressure').$type<Step['pressure']>().notNull(),
    passes: integer('passes').notNull(),
    stroke: text('stroke').$type<Step['stroke']>().notNull(),
    point: text('point').$type<Step['point']>().notNull(),
    minutes: doublePrecision('minutes').notNull(),
    coveredMm2: doublePrecision('covered_mm2'),
    /** What else it was told with. */
    content: jsonb('content').$type<StepContent>().notNull(),
    state: text('state').$type<(typeof STEP_STATES)[number]>().notNull().default('open'),
    /** The entry of the log that said so, by its number. */
    stateSeq: integer('state_seq'),
    /** Minutes that went into it while it was not done. */
    begunMinutes: doublePrecision('begun_minutes').notNull().default(0),
  },
  (t) => [
    primaryKey({ columns: [t.planId, t.stepId] }),
    check('bench_steps_state', sql`${t.state} in ('open', 'done', 'skipped')`),
    check('bench_steps_regions', sql`cardinality(${t.regionIds}) > 0`),
  ],
);

/** What the rows of steps keep beside their columns. */
export type StepContent = Pick<
  Step,
  'direction' | 'pull' | 'colour' | 'dryMinutes' | 'zone' | 'purpose' | 'value' | 'box' | 'wear' | 'soft' | 'after'
>;

/** What happened at the table, in order. Entries are added and never changed. */
export const stepLog = pgTable(
  'step_log',
  {
    id: text('id').primaryKey(),
    seq: serial('seq').notNull(),
    planId: text('plan_id').notNull(),
    stepId: text('step_id').notNull(),
    kind: text('kind').$type<LogEntry['kind']>().notNull(),
    startedAt: timestamp('started_at', { withTimezone: true }).notNull(),
    finishedAt: timestamp('finished_at', { withTimezone: true }).notNull(),
    pausedSeconds: integer('paused_seconds').notNull().default(0),
    usedPencil: text('used_pencil'),
    cameOut: text('came_out').$type<CameOut>(),
  },
  (t) => [
    index('step_log_plan').on(t.planId, t.seq),
    uniqueIndex('step_log_seq').on(t.seq),
    foreignKey({ columns: [t.planId, t.stepId], foreignColumns: [benchSteps.planId, benchSteps.stepId] }).onDelete(
      'cascade',
    ),
    check('step_log_kind', sql`${t.kind} in ('done', 'part done', 'skipped', 'not done after all')`),
  ],
);

/** What sheets still take of their tray's pencils, as it was worked out last. */
export const plannedWear = pgTable('planned_wear', {
  sheetId: text('sheet_id')
    .primaryKey()
    .references(() => sheets.id, { onDelete: 'cascade' }),
  /** What it was worked out from, in short: anything else, and it is worked out anew. */
  madeFor: text('made_for').notNull(),
  content: jsonb('content').$type<{ pencilId: string; lengthMm: number; points: number }[]>().notNull(),
});

/** What was written down about a sheet beside its steps. */
export const notes = pgTable(
  'notes',
  {
    id: text('id').primaryKey(),
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheets.id, { onDelete: 'cascade' }),
    content: jsonb('content').$type<NewNote>().notNull(),
    origin: origin(),
  },
  (t) => [index('notes_sheet').on(t.sheetId)],
);

export const trials = pgTable(
  'trials',
  {
    id: text('id').primaryKey(),
    sheetId: text('sheet_id')
      .notNull()
      .references(() => sheets.id, { onDelete: 'cascade' }),
    content: jsonb('content').$type<NewTrial>().notNull(),
    origin: origin(),
  },
  (t) => [index('trials_sheet').on(t.sheetId)],
);

export const practice = pgTable('practice', {
  id: text('id').primaryKey(),
  content: jsonb('content').$type<NewPracticeSeries>().notNull(),
  origin: origin(),
});

export const settings = pgTable('settings', {
  key: text('key').primaryKey(),
  value: jsonb('value').$type<Settings | string>().notNull(),
});

import { PGlite } from '@electric-sql/pglite';
import { expect } from 'chai';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { resolve } from 'node:path';
import {
  type LogEntry,
  type NewBenchPlan,
  type RegionsMeta,
  type Step,
  emptyPlan,
  newThing,
} from '../contracts/index.ts';
import { familyOf } from '../core/recipe/index.ts';
import { frontToBack } from '../plan/index.ts';
import { type Database } from './db/open-database.ts';
import * as schema from './db/schema.ts';
import { logSteps, ratesOf, storeBenchPlan } from './services/bench.ts';
import { ensureDesk } from './services/desk.ts';
import { listSheets, planColumns, sheetState } from './services/sheets.ts';
import { MY_PENCILS } from './services/trays.ts';
import { listWear } from './services/wear.ts';

const SHEETS = 6;
const ORDERS = 3;
const STEPS = 400;
const REGIONS = 500;
const THINGS = 50;
const PENCILS = 40;
const LAYERS = ['base', 'shadow', 'middle', 'deepen', 'light', 'unify', 'own-1', 'own-2'];

/** At most so many queries and bytes for any of the reads. */
const MOST_QUERIES = 10;
const MOST_BYTES = 100_000;

const sheetId = (s: number) => `sheet-${s}000`;
const pencilId = (p: number) => `pencil-${p}`;

function regionsOf(): RegionsMeta {
  const regions = Array.from({ length: REGIONS }, (_, i) => {
    const [x, y] = [5 + (i % 25) * 8, 5 + Math.floor(i / 25) * 8];
    return {
      id: i + 1,
      usableWidthMm: 6,
      areaMm2: 40,
      axisDegrees: 0,
      lengthMm: 7,
      breadthMm: 6,
      holes: 0,
      shape: 'irregular' as const,
      pole: { x, y },
      centroid: { x, y },
      box: { left: x - 3, top: y - 3, right: x + 3, bottom: y + 3 },
    };
  });
  return {
    from: 'found once',
    width: 2100,
    height: 2100,
    pixelsPerMm: 10,
    regions,
    neighbours: [],
    doubts: [],
    alike: [],
    seen: null,
  };
}

function orderOf(id: string): NewBenchPlan {
  const steps = Array.from({ length: STEPS }, (_, k): Step => ({
    id: `thing-${k % THINGS}/${LAYERS[Math.floor(k / THINGS)]}`,
    thingId: `thing-${k % THINGS}`,
    layerId: LAYERS[Math.floor(k / THINGS)],
    pencil: pencilId(k % PENCILS),
    regionIds: [1 + (k % REGIONS)],
    pressure: 'light',
    passes: 1,
    stroke: 'small circles',
    point: 'normal',
    zone: { field: 'tone', from: 0, to: 1, softnessMm: 1, overMm: 3 },
    purpose: 'Base coat: the lightest pencil over the whole of it.',
    minutes: 1,
    value: 50,
    coveredMm2: 40,
    after: [],
  }));
  const order = steps.map((step) => step.id);
  return {
    id,
    planRevision: 0,
    model: 'layers',
    openThings: THINGS,
    openTried: [],
    alike: [],
    steps,
    order,
    sittings: [{ steps: order, minutes: STEPS }],
    pickUps: 40,
    minutes: STEPS,
    lowerBound: 40,
    sharpenings: 0,
    smearCm2: 0,
    leftOut: [],
    madeFor: null,
    ratesFrom: 0,
    pickUpSeconds: 12,
    pencils: [],
    things: [],
  };
}

function logOf({ id: planId, order }: NewBenchPlan): LogEntry[] {
  return order.map((stepId, k) => ({
    id: `${planId}-${k}`,
    planId,
    stepId,
    kind: 'done',
    startedAt: new Date(1.7e12 + 60_000 * k).toISOString(),
    finishedAt: new Date(1.7e12 + 60_000 * (k + 1)).toISOString(),
    pausedSeconds: 0,
    usedPencil: null,
    cameOut: null,
  }));
}

describe('a desk with a year of work on it', () => {
  let db: Database;
  let client: PGlite;
  const read = { queries: 0, bytes: 0 };

  before(async function () {
    this.timeout(120_000);
    client = await PGlite.create('memory://');
    db = drizzle({ client, schema }) as Database;
    await migrate(db, { migrationsFolder: resolve('src/server/db/migrations') });
    await ensureDesk(db);
    await db.insert(schema.blobs).values({ hash: 'a-hash', mime: 'image/png', bytes: new Uint8Array(1) });
    await db.insert(schema.pencils).values(
      Array.from({ length: PENCILS }, (_, p) => ({
        id: pencilId(p),
        trayId: MY_PENCILS,
        place: p,
        set: 'Tide',
        code: `T${p}`,
        name: 'kelp',
        type: 'oil',
        colour: '#4c5a2e',
        origin: 'own' as const,
      })),
    );
    const things = Array.from({ length: THINGS }, (_, t) =>
      newThing({
        id: `thing-${t}`,
        name: `Thing ${t}`,
        regionIds: Array.from({ length: REGIONS / THINGS }, (_, i) => 1 + t + i * THINGS),
        family: familyOf([pencilId(t % PENCILS)]),
      }),
    );
    const plan = {
      ...emptyPlan({ widthMm: 210, heightMm: 210, paper: 'white-book' }),
      regionsFrom: 'found once',
      things: frontToBack(things),
    };
    for (let s = 0; s < SHEETS; s++) {
      await db.insert(schema.sheets).values({
        id: sheetId(s),
        title: `Page ${s}`,
        origin: 'own',
        trayId: MY_PENCILS,
        originalHash: 'a-hash',
        pictureHash: 'a-hash',
        pictureWidth: 2100,
        pictureHeight: 2100,
        ...planColumns(plan),
      });
      const meta = regionsOf();
      await db
        .insert(schema.regionMaps)
        .values({ sheetId: sheetId(s), from: meta.from, count: REGIONS, meta, indexHash: 'a-hash' });
      for (let o = 0; o < ORDERS; o++) {
        const order = orderOf(`order-${s}-${o}`);
        await storeBenchPlan(db, sheetId(s), order);
        if (o < ORDERS - 1) await logSteps(db, sheetId(s), logOf(order));
      }
    }
    const query = client.query.bind(client);
    client.query = (async (...args: Parameters<typeof query>) => {
      const answer = await query(...args);
      read.queries++;
      read.bytes += JSON.stringify(answer.rows).length;
      return answer;
    }) as typeof client.query;
  });
  after(() => client.close());
  beforeEach(() => Object.assign(read, { queries: 0, bytes: 0 }));

  const READS: [string, () => Promise<unknown>][] = [
    ['the shelf', () => listSheets(db)],
    ['a sheet', () => sheetState(db, sheetId(2))],
    ['how fast the hand is', () => ratesOf(db, sheetId(2))],
  ];
  for (const [what, run] of READS) {
    it(`tells ${what} with few queries that read little`, async () => {
      await run();
      expect(read.queries).to.be.at.most(MOST_QUERIES);
      expect(read.bytes).to.be.at.most(MOST_BYTES);
    });
  }

  it('tells the wear of its pencils with few queries that read little, once it was worked out', async () => {
    const first = await listWear(db, MY_PENCILS);
    expect(first).to.have.length(PENCILS);
    Object.assign(read, { queries: 0, bytes: 0 });
    expect(await listWear(db, MY_PENCILS)).to.deep.equal(first);
    expect(read.queries).to.be.at.most(MOST_QUERIES);
    expect(read.bytes).to.be.at.most(MOST_BYTES);
  });

  it('counts on its shelf what is done over all orders, and what the newest leaves open', async () => {
    const [card] = await listSheets(db);
    const done = (ORDERS - 1) * STEPS;
    expect(card).to.include({ stepsDone: done, steps: done + STEPS, regions: REGIONS, things: THINGS });
  });

  it('learns from its newest steps alone', async () => {
    expect((await ratesOf(db, sheetId(0))).learntFrom).to.equal(500);
  });
});

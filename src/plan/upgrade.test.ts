import { readFileSync, readdirSync } from 'node:fs';
import { expect } from 'chai';
import { PLAN_VERSION, Plan } from '../contracts/index.ts';
import { type PlanDifference, type SectionChange, patched, readPlan, thingsOf, upgradeHistory } from './index.ts';

interface Stored {
  about: string;
  plan: Record<string, unknown>;
  changes: (SectionChange & { label: string })[];
}

const FOLDER = new URL('test/stored/', import.meta.url);
const STORED = new Map(
  readdirSync(FOLDER).map((file): [string, Stored] => [
    file.replace('.json', ''),
    JSON.parse(readFileSync(new URL(file, FOLDER), 'utf8')),
  ]),
);
const stored = (name: string) => readPlan(STORED.get(name)!.plan);

describe('plans that were stored before', () => {
  for (const [name, { about, plan, changes }] of STORED) {
    describe(`${name}: ${about}`, () => {
      it('open as documents of today, and open again as they were written then', () => {
        const read = readPlan(plan);
        expect(read.version).to.equal(PLAN_VERSION);
        expect(thingsOf(read).map(({ name: called }) => called)).to.deep.equal(['Roof', 'Bell']);
        expect(readPlan(JSON.parse(JSON.stringify(read)))).to.deep.equal(read);
      });

      it('are undone back to their first change and done again, through the same states as then', () => {
        const known = upgradeHistory(plan, changes, 'regions-then');
        expect(known.plan.regionsFrom).to.equal('regions-then');
        const done = changes.flatMap((change, i) => (change.undone ? [] : [{ ...change, i }]));
        // As it was then: sections were set whole over what stood.
        let then = plan;
        let now = known.plan;
        for (const { before, after, i } of done.reverse()) {
          const gone = Object.fromEntries(Object.keys(after).map((section) => [section, undefined]));
          then = JSON.parse(JSON.stringify({ ...then, ...gone, ...before }));
          now = patched(now, known.changes[i]!.inverse);
          expect(now).to.deep.equal({ ...readPlan(then), regionsFrom: 'regions-then' });
        }
        for (const { i } of done.reverse()) now = patched(now, known.changes[i]!.patches);
        expect(now).to.deep.equal(known.plan);
        for (const [i, { after, undone }] of changes.entries()) {
          if (!undone) continue;
          then = { ...plan, ...after };
          const again = patched(known.plan, known.changes[i]!.patches);
          expect(again).to.deep.equal({ ...readPlan(then), regionsFrom: 'regions-then' });
          expect(patched(again, known.changes[i]!.inverse)).to.deep.equal(known.plan);
        }
      });
    });
  }

  it('keep everything that was decided for a thing with that thing', () => {
    const { things, lamps, school, regions, bench, horizon } = stored('bench');
    expect(things['thing-bell']).to.deep.include({
      focus: true,
      natural: '#c8962e',
      material: 'gold',
      within: 'thing-roof',
      pinned: true,
      form: 'dome',
      effect: 'polished-metal',
      glow: { reachMm: 20, strength: 0.8, pencil: 'pencil-G2' },
    });
    expect(things['thing-bell'].family!.depth).to.equal('pencil-K1');
    expect(things['thing-roof'].edits).to.deep.include({ without: ['unify'], order: ['base', 'shadow'] });
    expect(things['thing-roof'].repairs.map(({ id, regionIds }) => [id, regionIds])).to.deep.equal([
      ['repair-one', [1]],
    ]);
    expect(Object.values(lamps)).to.deep.include.members([
      { id: 'lamp-0002', at: { x: 30, y: 40 }, reachMm: 12, strength: 0.5, pencil: null },
    ]);
    expect(regions).to.deep.equal({
      1: { ground: { kind: 'coloured', colour: '#aa8855', toothLeft: 'some' }, texture: 'follow' },
      2: { use: 'leave white' },
      3: { texture: 'ignore' },
    });
    expect([school, bench.hand, horizon.waterLineMm]).to.deep.equal(['dark-first', 'left', 120]);
  });

  it('with three pencils a family and changes by layer say the same today', () => {
    const { things, wishes, wheel, lamps } = stored('first-desk');
    expect(things['thing-roof'].family!.pencils).to.deep.equal(['pencil-K1', 'pencil-K2', 'pencil-K3']);
    expect(things['thing-roof'].edits).to.deep.equal({ layers: { shadow: { pressure: 'firm', passes: 3 } } });
    expect(things['thing-bell'].school).to.equal('dark-first');
    expect([wishes.only, wheel.wheel, lamps]).to.deep.equal([[], 'painters', {}]);
  });

  it('lose a glow again by undo, though they knew no glows before it', () => {
    const { plan, changes } = STORED.get('glow-on-a-first-plan')!;
    const known = upgradeHistory(plan, changes, null);
    expect(known.plan.things['thing-bell'].glow).to.include({ reachMm: 20 });
    const { inverse } = known.changes.at(-1) as PlanDifference;
    expect(patched(known.plan, inverse).things['thing-bell'].glow).to.equal(null);
  });

  it('remember as much as can be read: what lies beyond a broken change cannot be reached', () => {
    const { plan, changes } = STORED.get('first-desk')!;
    const broken = changes.map((change, i) => (i === 1 ? { ...change, before: { things: 'torn' } } : change));
    const known = upgradeHistory(plan, broken, null);
    expect(known.changes.map((change) => change !== null)).to.deep.equal([false, false, true, true, true]);
    expect(Plan.safeParse(known.plan).success).to.equal(true);
  });
});

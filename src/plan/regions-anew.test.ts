import { expect } from 'chai';
import fc from 'fast-check';
import { type Plan, emptyPlan, newThing } from '../contracts/index.ts';
import { type MappedRegions, edited, frontToBack, patched, sayOfRegions, takeRegions, thingsOf } from './index.ts';

/** A page of one row, one pixel a millimetre: each letter is a region, a dot ink; ids in the order of their first place. */
function row(from: string, letters: string): MappedRegions {
  const ids = new Map<string, number>();
  const labels = Uint16Array.from(letters, (letter) => {
    if (letter === '.') return 0;
    if (!ids.has(letter)) ids.set(letter, ids.size + 1);
    return ids.get(letter)!;
  });
  const regions = [...ids.values()].map((id) => {
    const places = [...labels.keys()].filter((x) => labels[x] === id);
    const [x] = [places[Math.floor(places.length / 2)]];
    return { id, areaMm2: places.length, pole: { x: x + 0.5, y: 0.5 } } as MappedRegions['meta']['regions'][number];
  });
  return { labels, meta: { from, width: letters.length, height: 1, pixelsPerMm: 1, regions } };
}

function planOf(things: Record<string, number[]>): Plan {
  const all = Object.entries(things).map(([name, regionIds]) => newThing({ id: `thing-${name}`, name, regionIds }));
  return {
    ...emptyPlan({ widthMm: 60, heightMm: 20, paper: 'white-book' }),
    things: frontToBack(all),
    regionsFrom: 'a',
  };
}

const taken = (plan: Plan, before: MappedRegions | null, now: MappedRegions) =>
  edited(plan, (draft) => takeRegions(draft, before, now));
const regionsIn = (plan: Plan) => Object.fromEntries(thingsOf(plan).map(({ name, regionIds }) => [name, regionIds]));

describe('regions found anew', () => {
  const whole = row('a', 'aaaa.bbbb.cc.dddddd');

  it('take over what hung on those of before, also where ids changed', () => {
    const plan = edited(planOf({ roof: [1, 2], sky: [4] }), (draft) =>
      sayOfRegions(draft, [4], { use: 'leave white' }),
    );
    const { plan: now } = taken(plan.plan, whole, row('b', '.....bbbb.cc.dddddd'));
    expect(regionsIn(now)).to.deep.equal({ roof: [1], sky: [3] });
    expect(now.regions).to.deep.equal({ 3: { use: 'leave white' } });
    expect(now.regionsFrom).to.equal('b');
  });

  it('keep what lost its region aside, and give it back where it is found again', () => {
    const before = edited(planOf({ candle: [3], sky: [4] }), (draft) =>
      sayOfRegions(draft, [3], { texture: 'follow' }),
    ).plan;
    const gone = row('b', 'aaaa.bbbb....dddddd');
    const { plan: without } = taken(before, whole, gone);
    expect(regionsIn(without)).to.deep.equal({ sky: [3] });
    expect(Object.keys(without.aside.things)).to.deep.equal(['thing-candle']);
    expect(without.aside.shapes[0]).to.deep.include({
      thingId: 'thing-candle',
      areaMm2: 2,
      about: { texture: 'follow' },
    });
    const { plan: back } = taken(without, gone, whole);
    expect(back).to.deep.equal({ ...before, regionsFrom: 'a' });
  });

  it('part again what was joined: each shape goes back to its own thing', () => {
    const before = planOf({ roof: [1], wall: [2], sky: [4] });
    const joined = row('b', 'aaaaaaaaa.cc.dddddd');
    const { plan: one } = taken(before, whole, joined);
    expect(regionsIn(one)).to.deep.equal({ roof: [1], sky: [3] });
    expect(regionsIn(taken(one, joined, whole).plan)).to.deep.equal({ roof: [1], wall: [2], sky: [4] });
  });

  it('leave both halves of what was parted in its thing', () => {
    const { plan } = taken(planOf({ sky: [4] }), whole, row('b', 'aaaa.bbbb.cc.ddd.ee'));
    expect(regionsIn(plan)).to.deep.equal({ sky: [4, 5] });
  });

  it('are taken as they are where there were none before, or of another picture', () => {
    const none = taken(planOf({ sky: [1] }), null, whole).plan;
    expect(regionsIn(none)).to.deep.equal({ sky: [1] });
    const other = taken(planOf({ sky: [1] }), row('b', 'aa'), whole).plan;
    expect(regionsIn(other)).to.deep.equal({ sky: [1] });
    expect(other.regionsFrom).to.equal('a');
  });

  it('lose nothing whatever was found in between: the same regions again bring every shape home', () => {
    const letters = fc
      .array(fc.constantFrom(...'abcdef.'), { minLength: 19, maxLength: 19 })
      .map((all) => all.join(''));
    const all = planOf({ roof: [1, 2], candle: [3], sky: [4] });
    const said = edited(all, (draft) => sayOfRegions(draft, [2, 3], { use: 'leave white' })).plan;
    fc.assert(
      fc.property(fc.oneof(fc.constant('.........c..dddddd.'), letters), (one) => {
        const between = row('b', one);
        const { plan } = taken(said, whole, between);
        expect(taken(plan, between, whole).plan).to.deep.equal(said);
      }),
    );
  });

  it('are undone by the inverse of what they changed, whatever was found', () => {
    const plan = planOf({ roof: [1, 2], candle: [3], sky: [4] });
    const letters = fc
      .array(fc.constantFrom(...'abcdef.'), { minLength: 19, maxLength: 19 })
      .map((all) => all.join(''));
    fc.assert(
      fc.property(letters, (found) => {
        const { plan: now, inverse } = taken(plan, whole, row('b', found));
        expect(patched(now, inverse)).to.deep.equal(plan);
      }),
    );
  });
});

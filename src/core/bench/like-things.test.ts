import { expect } from 'chai';
import fc from 'fast-check';
import { byPlace } from './by-place.ts';
import { joinedSteps, likeThings } from './like-things.ts';
import { overheadOf, sequence, validateSequence } from './index.ts';
import { placedPage, step } from './test/made-up.ts';

const strand = (name: string, pencils: string, facts: Parameters<typeof step>[4] = {}) =>
  [...pencils].map((pencil, k) => step(name, `l${k}`, pencil, k > 0 ? [`${name}/l${k - 1}`] : [], facts));
const namesOf = (steps: Parameters<typeof likeThings>[0], wholeThings = false) =>
  likeThings(steps, wholeThings).sets.map(({ places }) => [...places.keys()].sort().join());

describe('like things', () => {
  it('want the same in hand one after the other, some perhaps with more in between', () => {
    const steps = [...strand('a', 'lmd'), ...strand('b', 'ld'), ...strand('c', 'dl'), ...strand('e', 'lmd')];
    expect(namesOf(steps)).to.deep.equal(['a,b,e', 'c']);
    // With one thing at a time only what wants the very same is one.
    expect(namesOf(steps, true).sort()).to.deep.equal(['a,e', 'b', 'c']);
  });

  it('are open as one: twenty strands with one thing open take as many pick-ups as one strand', async () => {
    const steps = Array.from({ length: 20 }, (_, k) => strand(`strand${k}`, 'lmdl')).flat();
    const { pickUps, mostOpen, alike, order } = await sequence(steps, { openThings: 1, maxIterations: 2 });
    expect([pickUps, mostOpen]).to.deep.equal([4, 1]);
    expect(alike[0]).to.have.length(20);
    expect(validateSequence(steps, order, 1, alike)).to.deep.equal([]);
    expect(validateSequence(steps, order, 1).join()).to.contain('20 things are open');
  });

  it('stay apart where one would wait for itself', () => {
    const [a1, a2] = strand('a', 'pq');
    const [b1, b2] = strand('b', 'pq');
    // b begins once a is through, so that they cannot be laid together.
    expect(namesOf([a1, a2, { ...b1, after: ['a/l1'] }, b2])).to.deep.equal(['a', 'b']);
    expect(namesOf([a1, a2, { ...b1, after: ['a/l0'] }, b2])).to.deep.equal(['a,b']);
    const circle = [{ ...a1, after: ['b/l1'] }, a2, { ...b1, after: ['a/l1'] }, b2];
    expect(() => likeThings(circle)).to.throw(RangeError, 'wait for each other');
  });

  it('are laid part by part where two layers wait for parts of each other', async () => {
    const [a1, a2] = [step('a', 'l~1', 'p'), step('a', 'l~2', 'p', ['a/l~1'])].map((each) => ({
      ...each,
      layerId: 'l',
    }));
    const [b1, b2] = [step('b', 'l~1', 'q'), step('b', 'l~2', 'q', ['b/l~1'])].map((each) => ({
      ...each,
      layerId: 'l',
    }));
    const steps = [a1, { ...a2, after: ['a/l~1', 'b/l~1'] }, b1, { ...b2, after: ['b/l~1', 'a/l~2'] }];
    const { order, alike } = await sequence(steps, { maxIterations: 2 });
    expect(validateSequence(steps, order, 4, alike)).to.deep.equal([]);
  });

  it('keep areas, minutes and what each step waits for when they are joined', () => {
    fc.assert(
      fc.property(placedPage, (steps) => {
        const { steps: joined, standsFor } = joinedSteps(likeThings(steps));
        const sum = (of: typeof steps, each: (one: (typeof steps)[number]) => number) =>
          of.reduce((all, one) => all + each(one), 0);
        expect(sum(joined, ({ minutes }) => minutes)).to.be.closeTo(
          sum(steps, ({ minutes }) => minutes),
          1e-6,
        );
        expect(sum(joined, ({ coveredMm2 }) => coveredMm2!)).to.be.closeTo(
          sum(steps, ({ coveredMm2 }) => coveredMm2!),
          1e-6,
        );
        expect([...standsFor.values()].flat().map(({ id }) => id)).to.have.members(steps.map(({ id }) => id));
        const joinedIn = new Map([...standsFor].flatMap(([id, own]) => own.map((one) => [one.id, id] as const)));
        const waitsFor = new Map(joined.map(({ id, after }) => [id, after]));
        for (const { id, after } of steps) {
          const own = joinedIn.get(id)!;
          for (const before of after.map((other) => joinedIn.get(other)!))
            if (before !== own) expect(waitsFor.get(own)).to.include(before);
        }
      }),
    );
  });

  it('are laid along a way: sharp work first, then what is pressed alike, then what lies near', () => {
    const at = (x: number) => ({ box: { left: x, top: 0, right: x + 10, bottom: 10 } });
    const steps = [
      step('a', '1', 'p', [], at(0)),
      step('b', '1', 'p', [], { ...at(150), point: 'sharp' }),
      step('c', '1', 'p', [], at(120)),
      step('e', '1', 'p', [], { ...at(10), pressure: 'firm' }),
      step('f', '1', 'p', [], at(60)),
    ];
    expect(byPlace(steps).map(({ thingId }) => thingId)).to.deep.equal(['b', 'c', 'f', 'a', 'e']);
    expect(overheadOf(byPlace(steps)).travelMm).to.be.below(overheadOf(steps).travelMm + 1);
  });
});

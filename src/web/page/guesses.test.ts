import { expect } from 'chai';
import fc from 'fast-check';
import { newThing } from '../../contracts/index.ts';
import { type Proposal } from '../../core/things/index.ts';
import { withGuesses } from '../../planning/index.ts';
import { greysApart } from '../workers/greys-apart.ts';

const guess = (name: string, ...regionIds: number[]) => ({ name, regionIds, areaMm2: 10 * regionIds.length });

describe('guesses taken over', () => {
  const things = [
    newThing({ id: 'thing-moon', name: 'Moon', regionIds: [9] }),
    newThing({ id: 'thing-sky', name: 'Sky', regionIds: [8] }),
  ];
  // In front first: the second guess, the moon, the first guess, the sky.
  const proposal: Proposal = {
    guesses: [guess('Bars', 1, 2), guess('Ring', 3)],
    frontToBack: [3, 0, 2, 1],
    questions: [],
  };
  let made = 0;
  const taken = withGuesses(
    things,
    proposal,
    () => `guess-${++made}`,
    ({ regionIds }) => (regionIds[0] === 3 ? 'gold' : null),
  );

  it('stand among the things by what lies in front, and are marked as guesses', () => {
    expect(taken.map(({ name, guessed }) => [name, guessed])).to.deep.equal([
      ['Ring', true],
      ['Moon', false],
      ['Bars', true],
      ['Sky', false],
    ]);
  });

  it('keep what was said of what they are made of, and leave other things as they were', () => {
    expect(taken.map(({ material }) => material)).to.deep.equal(['gold', null, null, null]);
    expect(taken[1]).to.equal(things[0]);
    expect(new Set(taken.map(({ id }) => id)).size).to.equal(4);
  });
});

describe('greys that tell parts of a page apart', () => {
  it('differ between neighbours wherever a part has no more than four of them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 40 }),
        fc.array(fc.tuple(fc.nat(1000), fc.nat(1000)), { maxLength: 60 }),
        (count, drawn) => {
          const neighbours: { a: number; b: number }[] = [];
          const degree = new Uint8Array(count + 1);
          for (const [p, q] of drawn) {
            const [a, b] = [1 + (p % count), 1 + (q % count)];
            if (a === b || degree[a] === 4 || degree[b] === 4) continue;
            degree[a]++;
            degree[b]++;
            neighbours.push({ a, b });
          }
          const greys = greysApart(count, neighbours);
          for (const { a, b } of neighbours) expect(greys[a]).to.not.equal(greys[b]);
        },
      ),
    );
  });
});

import { expect } from 'chai';
import fc from 'fast-check';
import { greysApart } from './greys-apart.ts';

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

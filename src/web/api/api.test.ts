import { expect } from 'chai';
import fc from 'fast-check';
import { type SheetState, emptyPlan } from '../../contracts/index.ts';
import { setOut, withChangesUnderWay } from './changes-under-way.ts';

const sheet = (id: string) =>
  ({ id, plan: emptyPlan({ widthMm: 210, heightMm: 210, paper: 'white-book' }), revision: 3 }) as SheetState;
const wheel = (anchor: number) => ({ wheel: { anchor, scheme: 'triad', wheel: 'painters' as const, hands: [] } });

describe('changes that are under way', () => {
  it('stay on top of what the server tells, the latest last, until they are answered', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(360), { minLength: 1, maxLength: 8 }), (anchors) => {
        const arrived = anchors.map((anchor) => setOut('sheet-a', wheel(anchor)));
        const shown = () => withChangesUnderWay(sheet('sheet-a')).plan.wheel.anchor;
        for (const answer of arrived) {
          expect(shown()).to.equal(anchors.at(-1));
          answer();
        }
        expect(shown()).to.equal(60);
      }),
    );
  });

  it('touch nothing but their own section of their own sheet', () => {
    const answer = setOut('sheet-a', wheel(200));
    expect(withChangesUnderWay(sheet('sheet-b'))).to.deep.equal(sheet('sheet-b'));
    expect(withChangesUnderWay(sheet('sheet-a'))).to.deep.equal({
      ...sheet('sheet-a'),
      plan: { ...sheet('sheet-a').plan, ...wheel(200) },
    });
    answer();
  });
});

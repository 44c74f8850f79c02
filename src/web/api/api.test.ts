import { expect } from 'chai';
import fc from 'fast-check';
import { type SheetState, emptyPlan } from '../../contracts/index.ts';
import { edited } from '../../plan/index.ts';
import { trackPending, withChangesUnderWay } from './changes-under-way.ts';

const sheet = (id: string) =>
  ({ id, plan: emptyPlan({ widthMm: 210, heightMm: 210, paper: 'white-book' }), revision: 3 }) as SheetState;
const wheel = (anchor: number) => edited(sheet('sheet-a').plan, (plan) => (plan.wheel.anchor = anchor)).patches;

describe('changes that are under way', () => {
  it('stay on top of what the server tells, the latest last, until they are answered', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(59), { minLength: 1, maxLength: 8 }), (anchors) => {
        const arrived = anchors.map((anchor) => trackPending('sheet-a', wheel(anchor)));
        const shown = () => withChangesUnderWay(sheet('sheet-a')).plan.wheel.anchor;
        for (const answer of arrived) {
          expect(shown()).to.equal(anchors.at(-1));
          answer();
        }
        expect(shown()).to.equal(60);
      }),
    );
  });

  it('touch nothing but their own place on their own sheet', () => {
    const answer = trackPending('sheet-a', wheel(200));
    expect(withChangesUnderWay(sheet('sheet-b'))).to.deep.equal(sheet('sheet-b'));
    const shown = withChangesUnderWay(sheet('sheet-a')).plan;
    expect(shown.wheel.anchor).to.equal(200);
    expect({ ...shown, wheel: sheet('sheet-a').plan.wheel }).to.deep.equal(sheet('sheet-a').plan);
    answer();
  });

  it('are left out where what they speak of is gone meanwhile', () => {
    const settle = trackPending('sheet-a', [{ path: ['things', 'thing-gone', 'form'], value: 'dome' }]);
    expect(withChangesUnderWay(sheet('sheet-a')).plan).to.deep.equal(sheet('sheet-a').plan);
    settle();
  });
});

import { expect } from 'chai';
import fc from 'fast-check';
import { FORMS, formById } from './index.ts';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const side = fc.double({ min: -1, max: 1, noNaN: true });
const height = fc.constantFrom(null, 5, 20, 45, 70, 90);

describe('every form', () => {
  it('has a name, a line that says what it is, and an id of its own', () => {
    expect(new Set(FORMS.map((form) => form.id)).size).to.equal(FORMS.length);
    for (const { name, says } of FORMS) {
      expect(name).to.match(/^[a-z ]+$/);
      expect(says).to.match(/\.$/);
    }
  });

  it('keeps its tone between the deepest shadow and the highlight', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FORMS), share, side, share, height, (form, depth, facing, down, heightDegrees) => {
        expect(form.tone({ depth, facing, down }, { heightDegrees })).to.be.within(0, 1);
      }),
    );
  });

  it('never jumps: a small step on the page is a small step in tone', () => {
    const step = 0.01;
    const inner = fc.double({ min: 0, max: 0.98, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...FORMS),
        inner,
        fc.double({ min: -1, max: 0.98, noNaN: true }),
        inner,
        height,
        (form, depth, facing, down, heightDegrees) => {
          const here = form.tone({ depth, facing, down }, { heightDegrees });
          const there = form.tone({ depth: depth + step, facing: facing + step, down: down + step }, { heightDegrees });
          expect(Math.abs(here - there)).to.be.below(0.12);
        },
      ),
    );
  });
});

describe('a raised form', () => {
  const raised = formById('raised');

  it('in soft light gets lighter all the way to its middle, whichever side', () => {
    fc.assert(
      fc.property(share, share, side, (a, b, facing) => {
        const [edge, middle] = [Math.min(a, b), Math.max(a, b)];
        const tone = (depth: number) => raised.tone({ depth, facing, down: 0.5 }, { heightDegrees: null });
        expect(tone(middle)).to.be.at.least(tone(edge));
      }),
    );
  });

  it('under a light from a side is lighter on that side than on the other', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 0.6, noNaN: true }),
        share,
        fc.constantFrom(10, 30, 50),
        (out, depth, heightDegrees) => {
          const tone = (facing: number) => raised.tone({ depth, facing, down: 0.5 }, { heightDegrees });
          expect(tone(out)).to.be.above(tone(-out));
        },
      ),
    );
  });
});

describe('backgrounds', () => {
  it('fade the opposite way to each other and do not care for the light', () => {
    const [down, up] = [formById('fades-down'), formById('fades-up')];
    fc.assert(
      fc.property(share, share, side, height, (at, depth, facing, heightDegrees) => {
        const place = { depth, facing, down: at };
        expect(down.tone(place, { heightDegrees }) + up.tone(place, { heightDegrees })).to.be.closeTo(1, 1e-9);
      }),
    );
  });
});

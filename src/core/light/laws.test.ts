import { expect } from 'chai';
import fc from 'fast-check';
import { type Region, distanceTo } from '../lineart/index.ts';
import { type MainLight, FORMS, formById, pageFields, shadeOf } from './index.ts';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const side = fc.double({ min: -1, max: 1, noNaN: true });
const place = fc.record({ depth: share, across: side, down: share, toward: share, beside: share });
const light: fc.Arbitrary<MainLight> = fc.oneof(
  fc.constant({ kind: 'ambient' } as const),
  fc.constant({ kind: 'behind' } as const),
  fc.record({
    kind: fc.constant('direction' as const),
    azimuthDegrees: fc.integer({ min: 0, max: 360 }),
    heightDegrees: fc.integer({ min: 5, max: 90 }),
  }),
);
/** The way a surface faces: towards the viewer, or leaning anyhow. */
const normal = fc
  .tuple(fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }), share)
  .map(([angle, lean]): [number, number, number] => [
    lean * Math.cos(angle),
    lean * Math.sin(angle),
    Math.sqrt(1 - lean * lean),
  ]);

describe('every form', () => {
  it('has a name, a line that says what it is, and an id of its own', () => {
    expect(new Set(FORMS.map((form) => form.id)).size).to.equal(FORMS.length);
    for (const { name, says } of FORMS) {
      expect(name).to.match(/^[a-z ]+$/);
      expect(says).to.match(/\.$/);
    }
  });

  it('never leans more than upright, and fades between shadow and highlight', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FORMS), place, (form, at) => {
        expect(form.lean(at)).to.be.within(-1, 1);
        if (form.fades) expect(form.fades(at.down)).to.be.within(0, 1);
        if (form.falls) expect(form.falls(at)).to.be.within(0, 1);
      }),
    );
  });

  it('turns smoothly, but for cut stones and the fold of a leaf', () => {
    const smooth = FORMS.filter(({ faces, id }) => !faces && id !== 'leaf');
    fc.assert(
      fc.property(fc.constantFrom(...smooth), place, (form, at) => {
        const step = 0.005;
        const next = { ...at, depth: Math.min(1, at.depth + step), across: Math.min(1, at.across + step) };
        expect(Math.abs(form.lean(next) - form.lean(at))).to.be.below(0.06);
      }),
    );
  });

  it('that goes across looks the same from either side, the other way round', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FORMS.filter(({ leans }) => leans === 'across')), place, (form, at) => {
        expect(form.lean({ ...at, across: -at.across })).to.be.closeTo(-form.lean(at), 1e-12);
      }),
    );
  });
});

describe('every light', () => {
  it('gives a tone from deepest shadow to highlight, whatever a surface faces', () => {
    fc.assert(
      fc.property(light, normal, share, (main, [x, y, z], shadow) => {
        expect(shadeOf(main)(x, y, z, shadow)).to.be.within(0, 1);
      }),
    );
  });

  it('makes nothing lighter by a shadow', () => {
    fc.assert(
      fc.property(light, normal, share, share, (main, [x, y, z], p, q) => {
        const tone = (shadow: number) => shadeOf(main)(x, y, z, shadow);
        expect(tone(Math.max(p, q))).to.be.at.most(tone(Math.min(p, q)) + 1e-12);
      }),
    );
  });

  it('turned round the page with all that it falls on changes nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 5, max: 90 }), normal, (by, heightDegrees, n) => {
        const angle = (by * Math.PI) / 180;
        const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
        const still = shadeOf({ kind: 'direction', azimuthDegrees: 0, heightDegrees });
        const turned = shadeOf({ kind: 'direction', azimuthDegrees: by, heightDegrees });
        const [x, y, z] = n;
        expect(turned(x * cos - y * sin, x * sin + y * cos, z, 0)).to.be.closeTo(still(x, y, z, 0), 1e-9);
      }),
    );
  });

  it('from a side follows the cosine law: what faces it is the highlight, and twice the cosine is twice the light', () => {
    const height = fc.integer({ min: 20, max: 70 });
    fc.assert(
      fc.property(height, (heightDegrees) => {
        const h = (heightDegrees * Math.PI) / 180;
        const shade = shadeOf({ kind: 'direction', azimuthDegrees: 0, heightDegrees });
        expect(shade(Math.cos(h), 0, Math.sin(h), 0)).to.be.closeTo(1, 1e-9);
        // Surfaces that are turned to the viewer alike get the same light from all round: only the cosine differs.
        const z = 0.5;
        const tone = (facing: number) => {
          const x = (facing - z * Math.sin(h)) / Math.cos(h);
          return shade(x, Math.sqrt(Math.max(0, 1 - z * z - x * x)), z, 0);
        };
        const steps = [0.1, 0.2, 0.3].map((facing) => tone(facing));
        expect(steps[1] - steps[0]).to.be.closeTo(steps[2] - steps[1], 1e-9);
      }),
    );
  });

  it('from behind makes rims pale and middles dark, the other way round than soft light', () => {
    const [soft, behind] = [shadeOf({ kind: 'ambient' }), shadeOf({ kind: 'behind' })];
    fc.assert(
      fc.property(share, share, (p, q) => {
        const [less, more] = [Math.min(p, q), Math.max(p, q)];
        const z = (lean: number) => Math.sqrt(1 - lean * lean);
        expect(soft(more, 0, z(more), 0)).to.be.at.most(soft(less, 0, z(less), 0) + 1e-12);
        expect(behind(more, 0, z(more), 0)).to.be.at.least(behind(less, 0, z(less), 0) - 1e-12);
      }),
    );
  });
});

describe('backgrounds', () => {
  it('fade the opposite way to each other', () => {
    const [down, up] = [formById('fades-down'), formById('fades-up')];
    fc.assert(fc.property(share, (at) => void expect(down.fades!(at) + up.fades!(at)).to.be.closeTo(1, 1e-9)));
  });
});

describe('the light of every page', () => {
  /** A tiny page of up to five regions strewn over it, no line between them, and all there may be of things and lights. */
  const strewn = fc
    .record({
      width: fc.integer({ min: 1, max: 14 }),
      height: fc.integer({ min: 1, max: 14 }),
      pixelsPerMm: fc.constantFrom(0.5, 2, 11),
    })
    .chain((size) =>
      fc.record({
        size: fc.constant(size),
        labels: fc.array(fc.nat(5), { minLength: size.width * size.height, maxLength: size.width * size.height }),
        forms: fc.array(fc.constantFrom(...FORMS), { minLength: 5, maxLength: 5 }),
        main: light,
        glow: fc.record({ thing: fc.boolean(), reachMm: fc.double({ min: 0.1, max: 300, noNaN: true }) }),
      }),
    );

  it('is there, however small the page and however its regions lie; nothing is lit beside them', () => {
    fc.assert(
      fc.property(strewn, ({ size, labels, forms, main, glow }) => {
        const grown = Uint16Array.from(labels);
        const lines = grown.map((label) => Number(label === 0));
        const distance = distanceTo(Uint8Array.from(lines), size.width, size.height);
        const [right, bottom] = [size.width / size.pixelsPerMm, size.height / size.pixelsPerMm];
        const regions = [1, 2, 3, 4, 5].map((id) => ({ id, box: { left: 0, top: 0, right, bottom } }) as Region);
        const things = forms.map(({ id: form }, k) => ({
          id: `t${k}`,
          regionIds: [k + 1],
          form,
          material: null,
          sources: [],
        }));
        const source = {
          thingId: glow.thing ? 't2' : null,
          at: { x: right, y: bottom },
          reachMm: glow.reachMm,
          strength: 1,
        };
        const fields = pageFields({ ...size, grown, distance, regions }, things, { main, glows: [source] });
        for (const field of [fields.tone, fields.glow, fields.shadow]) expect(field).to.have.length(grown.length);
        grown.forEach((label, i) => {
          if (label === 0) expect(fields.tone[i] + fields.shadow[i]).to.equal(0);
          else if (glow.thing && label === 3) expect(fields.tone[i]).to.be.at.least(150);
        });
      }),
      { numRuns: 300 },
    );
  });
});

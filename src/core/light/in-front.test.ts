import { expect } from 'chai';
import { at, drawn, from, labelAt, lantern, soft, thing } from './test/drawn-page.ts';
import { pageFields } from './index.ts';

/** A disc of radius 100 px with three dots of 12 px on its left half. */
const dotted = () =>
  drawn(280, 280, (x, y) => {
    const dots = [-50, 0, 50].map((dy) => Math.hypot(x - 90, y - 140 - dy));
    return Math.abs(Math.hypot(x - 140, y - 140) - 102) < 2 || dots.some((r) => Math.abs(r - 12) < 1.5);
  });
/** A disc whose lower third a box covers, which reaches far beyond it. */
const cut = () =>
  drawn(400, 400, (x, y) => {
    const inBox = x >= 20 && x < 380 && y >= 200 && y < 380;
    const boxLine = inBox && !(x >= 23 && x < 377 && y >= 203 && y < 377);
    return boxLine || (!inBox && Math.abs(Math.hypot(x - 200, y - 140) - 102) < 2);
  });

describe('what stands in front', () => {
  it('and lies on a form does not end it: beside dots a cap is as pale as across from them', async () => {
    const page = await dotted();
    const dots = thing(
      'dots',
      [-50, 0, 50].map((dy) => labelAt(page, 90, 140 + dy)),
      'dome',
    );
    const cap = thing('cap', [labelAt(page, 200, 140)]);
    for (const form of ['raised', 'ball', 'dome']) {
      const { tone } = pageFields(page, [dots, { ...cap, form }], soft);
      for (const [x, y] of [
        [74, 140],
        [108, 140],
        [90, 165],
        [106, 190],
      ]) {
        // Its shadow may lie close around it; the form itself goes on.
        expect(Math.abs(at(page, tone, x, y) - at(page, tone, 280 - x, y)), `${form} at ${x}, ${y}`).to.be.below(70);
      }
      expect(at(page, tone, 112, 140), form).to.be.closeTo(at(page, tone, 168, 140), 12);
      expect(at(page, tone, 42, 140), form).to.be.below(at(page, tone, 120, 100));
    }
  });

  it('ends what lies behind it where it only covers a part of that, and so does a hole', async () => {
    const page = await cut();
    const [disc, box] = [labelAt(page, 200, 100), labelAt(page, 200, 300)];
    const { tone } = pageFields(page, [thing('box', [box]), thing('disc', [disc])], soft);
    expect(at(page, tone, 200, 194)).to.be.below(at(page, tone, 200, 140) - 60);
    const behind = await dotted();
    const cap = thing('cap', [labelAt(behind, 200, 140)]);
    const holes = thing(
      'holes',
      [-50, 0, 50].map((dy) => labelAt(behind, 90, 140 + dy)),
    );
    const pierced = pageFields(behind, [cap, holes], soft).tone;
    expect(at(behind, pierced, 105, 140)).to.be.below(at(behind, pierced, 175, 140) - 60);
  });
});

describe('a plane', () => {
  it('has no two parts alike: it falls off from the light, into its edges and beside what stands before it', async () => {
    const page = await lantern();
    const lamp = thing('lamp', [labelAt(page, 200, 200)]);
    const wall = thing('wall', [labelAt(page, 20, 20)], 'plane');
    const tone = (main = soft.main) => pageFields(page, [lamp, wall], { main, glows: [] }).tone;
    for (const main of [soft.main, from(225, 45), { kind: 'behind' } as const]) {
      const values = [...tone(main)].filter((_, i) => page.labels[i] === wall.regionIds[0]).sort((a, b) => a - b);
      const [least, most] = [values[Math.floor(values.length / 20)], values[Math.floor(0.95 * values.length)]];
      expect(most - least, main.kind).to.be.above(60);
    }
    const lit = tone(from(180, 45));
    expect(at(page, lit, 60, 300)).to.be.above(at(page, lit, 340, 300) + 40);
    expect(at(page, lit, 120, 200)).to.be.above(at(page, lit, 151, 200) + 20);
    const told = pageFields(page, [lamp, { ...wall, form: 'flat' }], { main: from(180, 45), glows: [] }).tone;
    expect(Math.abs(at(page, told, 60, 300) - at(page, told, 340, 300))).to.be.below(3);
  });
});

import { expect } from 'chai';
import { type Drawn, at, drawn, from, labelAt, lantern, soft, thing } from './test/drawn-page.ts';
import { type FormedThing, type Lighting, type MainLight, glowContrasts, pageFields } from './index.ts';

describe('a glow', () => {
  const glowing = (page: Drawn, more: Partial<Lighting['glows'][number]> = {}, things: FormedThing[] = []) => {
    const lamp = thing('lamp', [labelAt(page, 200, 200)]);
    const wall = thing('wall', [labelAt(page, 20, 20)], 'flat');
    const glow = { thingId: 'lamp', at: null, reachMm: 12, strength: 1, ...more };
    return pageFields(page, [...things, lamp, wall], { main: { kind: 'ambient' }, glows: [glow] });
  };

  it('lies in rings of equal width round its source: equal to within a quarter of a millimetre on every side', async () => {
    const page = await lantern();
    const { glow } = glowing(page);
    const ringAt = (angle: number, value: number) => {
      for (let r = 50; r < 190; r += 0.25) {
        const [x, y] = [Math.round(200 + r * Math.cos(angle)), Math.round(200 + r * Math.sin(angle))];
        if (at(page, glow, x, y) <= value) return r;
      }
      return Infinity;
    };
    const turns = Array.from({ length: 24 }, (_, k) => (k * Math.PI) / 12);
    const rings = [204, 153, 102, 51].map((value) => turns.map((angle) => ringAt(angle, value)));
    for (const ring of rings) expect(Math.max(...ring) - Math.min(...ring)).to.be.at.most(2.5);
    const means = rings.map((ring) => ring.reduce((a, b) => a + b) / ring.length);
    for (const k of [1, 2, 3]) expect(means[k] - means[k - 1]).to.be.closeTo(24, 1);
  });

  it('only fades outwards, and is nothing beyond its reach', async () => {
    const page = await lantern();
    const { glow } = glowing(page);
    const row = Array.from({ length: 140 }, (_, k) => at(page, glow, 248 + k, 200));
    expect(row).to.deep.equal([...row].sort((a, b) => b - a));
    expect(at(page, glow, 200 + 44 + 122, 200)).to.equal(0);
  });

  it('lifts the tone around it, and is itself palest in its middle', async () => {
    const page = await lantern();
    const [dark, lit] = [glowing(page, { strength: 0.05 }).tone, glowing(page).tone];
    expect(at(page, lit, 260, 200)).to.be.above(at(page, dark, 260, 200) + 40);
    expect(at(page, lit, 200, 200)).to.be.above(at(page, lit, 232, 200));
    expect(at(page, lit, 200, 200)).to.be.above(245);
  });

  it('is blocked by what stands in front, with a shadow that runs away from it and softens', async () => {
    // A post to the right of the lantern.
    const page = await drawn(400, 400, (x, y) => {
      const post = (m: number) => x >= 270 - m && x < 290 + m && y >= 170 - m && y < 230 + m;
      const edge = Math.min(x, y, 399 - x, 399 - y);
      return Math.abs(Math.hypot(x - 200, y - 200) - 42) < 2 || (post(3) && !post(0)) || (edge >= 4 && edge < 7);
    });
    const post = thing('post', [labelAt(page, 280, 200)]);
    const { glow } = glowing(page, { reachMm: 18 }, [post]);
    expect(at(page, glow, 320, 200)).to.equal(0);
    expect(at(page, glow, 80, 200)).to.be.above(60);
    const edge = (x: number) => {
      const column = Array.from({ length: 180 }, (_, k) => at(page, glow, x, 200 + k));
      const open = Math.max(...column);
      const first = column.findIndex((value) => value > 0.1 * open);
      return column.findIndex((value) => value > 0.85 * open) - first;
    };
    expect(edge(370)).to.be.above(edge(305));
  });

  it('casts softer shadows the wider its source is, and sharp ones right behind what casts them', async () => {
    const softness = async (radius: number, x: number) => {
      const page = await drawn(400, 400, (px, y) => {
        const post = (m: number) => px >= 270 - m && px < 276 + m && y >= 100 - m && y < 200 + m;
        const edge = Math.min(px, y, 399 - px, 399 - y);
        return Math.abs(Math.hypot(px - 150, y - 200) - radius) < 2 || (post(3) && !post(0)) || (edge >= 4 && edge < 7);
      });
      const lamp = thing('lamp', [labelAt(page, 150, 200)], 'ball');
      const post = thing('post', [labelAt(page, 273, 150)]);
      const wall = thing('wall', [labelAt(page, 60, 60)], 'flat');
      const lighting = { ...soft, glows: [{ thingId: 'lamp', at: null, reachMm: 30, strength: 1 }] };
      const [open, shaded] = [
        [lamp, wall],
        [post, lamp, wall],
      ].map((things) => pageFields(page, things, lighting).glow);
      // The lower edge of the shadow, as shares of what would arrive without the post.
      return Array.from({ length: 330 }, (_, k) => at(page, shaded, x, 30 + k) / at(page, open, x, 30 + k)).filter(
        (seen) => seen > 0.1 && seen < 0.9,
      ).length;
    };
    const [narrow, wide, close] = [await softness(10, 360), await softness(60, 360), await softness(60, 292)];
    expect(wide).to.be.above(1.3 * narrow);
    expect(close).to.be.below(0.6 * wide);
  });

  it('reaches a surface by the way that faces: all of it where that lies flat, least on the far side', async () => {
    const page = await drawn(400, 400, (x, y) => {
      const edge = Math.min(x, y, 399 - x, 399 - y);
      const ring = (cx: number, r: number) => Math.abs(Math.hypot(x - cx, y - 200) - r) < 2;
      return ring(110, 42) || ring(270, 62) || (edge >= 4 && edge < 7);
    });
    const lamp = thing('lamp', [labelAt(page, 110, 200)], 'ball');
    const bun = thing('bun', [labelAt(page, 270, 200)], 'ball');
    const wall = thing('wall', [labelAt(page, 60, 60)], 'flat');
    const { glow, lit } = pageFields(page, [lamp, bun, wall], {
      ...soft,
      glows: [{ thingId: 'lamp', at: null, reachMm: 26, strength: 1 }],
    });
    expect(at(page, lit, 180, 100)).to.equal(at(page, glow, 180, 100));
    expect(at(page, lit, 216, 200)).to.be.above(0.7 * at(page, glow, 216, 200));
    expect(at(page, lit, 320, 200)).to.be.below(0.4 * at(page, glow, 320, 200));
    for (let i = 0; i < lit.length; i += 97) expect(lit[i]).to.be.at.most(glow[i]);
  });

  it('is not kept in by what stands within it, as a flame in its globe', async () => {
    const page = await drawn(400, 400, (x, y) => {
      const r = Math.hypot(x - 200, y - 200);
      const edge = Math.min(x, y, 399 - x, 399 - y);
      return Math.abs(r - 42) < 2 || Math.abs(r - 16) < 2 || (edge >= 4 && edge < 7);
    });
    const flame = thing('flame', [labelAt(page, 200, 200)], 'ball', 'light');
    const globe = thing('globe', [labelAt(page, 200, 170)], 'ball', 'light');
    const wall = thing('wall', [labelAt(page, 60, 60)], 'flat');
    const glow = { thingId: 'globe', at: null, reachMm: 12, strength: 1 };
    const fields = pageFields(page, [flame, globe, wall], { ...soft, glows: [glow] });
    for (const [x, y] of [
      [260, 200],
      [140, 200],
      [200, 260],
      [200, 140],
      [243, 243],
    ]) {
      expect(at(page, fields.glow, x, y), `${x}, ${y}`).to.be.above(180);
    }
  });

  it('falls on the side of a raised thing that faces it', async () => {
    const page = await drawn(400, 400, (x, y) => {
      const edge = Math.min(x, y, 399 - x, 399 - y);
      const [lamp, buoy] = [Math.hypot(x - 140, y - 200), Math.hypot(x - 280, y - 200)];
      return Math.abs(lamp - 42) < 2 || Math.abs(buoy - 42) < 2 || (edge >= 4 && edge < 7);
    });
    const things = [
      thing('lamp', [labelAt(page, 140, 200)]),
      thing('buoy', [labelAt(page, 280, 200)], 'ball'),
      thing('wall', [labelAt(page, 20, 20)], 'flat'),
    ];
    const glows = [{ thingId: 'lamp', at: null, reachMm: 30, strength: 1 }];
    const [lit, plain] = [glows, []].map((all) => pageFields(page, things, { ...soft, glows: all }).tone);
    const gain = (x: number) => at(page, lit, x, 200) - at(page, plain, x, 200);
    expect(gain(246)).to.be.above(gain(314) + 25);
  });

  it('may come from a point where nothing is drawn', async () => {
    const page = await lantern();
    const { glow } = glowing(page, { thingId: null, at: { x: 33, y: 33 } });
    expect(at(page, glow, 330, 330)).to.be.above(250);
    expect(at(page, glow, 270, 330)).to.be.within(115, 140);
  });
});

describe('how a glow stands out', () => {
  it('is by how dark its surroundings are, and names what keeps them pale', async () => {
    const page = await lantern();
    const lamp = thing('lamp', [labelAt(page, 200, 200)]);
    const wall = (form: string) => thing('wall', [labelAt(page, 20, 20)], form);
    const apart = (form: string, main: MainLight) => {
      const things = [lamp, wall(form)];
      const lighting = { main, glows: [{ thingId: 'lamp', at: null, reachMm: 14, strength: 1 }] };
      const [contrast] = glowContrasts(page, things, lighting, pageFields(page, things, lighting));
      return { ...contrast!, by: contrast!.near - contrast!.far };
    };
    const [dark, pale] = [apart('flat', { kind: 'behind' }), apart('flat', soft.main)];
    expect(dark.by).to.be.above(pale.by + 10);
    expect(dark.near).to.be.within(0, 100);
    expect(pale.palest).to.equal('wall');
  });

  it('is not known for a source that is gone', async () => {
    const page = await lantern();
    const lighting = { ...soft, glows: [{ thingId: 'gone', at: null, reachMm: 14, strength: 1 }] };
    expect(glowContrasts(page, [], lighting, pageFields(page, [], lighting))).to.deep.equal([null]);
  });

  it('lanterns of a string glow each by itself', async () => {
    const page = await drawn(600, 300, (x, y) => {
      const edge = Math.min(x, y, 599 - x, 299 - y);
      const post = (m: number) => x >= 296 - m && x < 304 + m && y >= 60 - m && y < 240 + m;
      const lamps = [150, 450].map((cx) => Math.hypot(x - cx, y - 150));
      return lamps.some((r) => Math.abs(r - 32) < 2) || (post(3) && !post(0)) || (edge >= 4 && edge < 7);
    });
    const string = thing('lanterns', [labelAt(page, 150, 150), labelAt(page, 450, 150)]);
    const things = [thing('post', [labelAt(page, 300, 150)]), string, thing('wall', [labelAt(page, 20, 20)], 'flat')];
    const glows = [{ thingId: 'lanterns', at: null, reachMm: 20, strength: 1 }];
    const { glow } = pageFields(page, things, { ...soft, glows });
    // Beside the post each lantern lights its own side; neither is cut off by rays from the middle of the two.
    for (const [x, mirrored] of [
      [100, 500],
      [220, 380],
    ])
      expect(at(page, glow, x, 150)).to.be.closeTo(at(page, glow, mirrored, 150), 3);
    expect(at(page, glow, 220, 150)).to.be.above(100);
  });
});

describe('cast shadows', () => {
  it('fall away from the light on what lies behind, darkest beside what casts them', async () => {
    const page = await lantern();
    const [ball, wall] = [
      thing('ball', [labelAt(page, 200, 200)], 'ball'),
      thing('wall', [labelAt(page, 20, 20)], 'flat'),
    ];
    const { shadow } = pageFields(page, [ball, wall], { main: from(180, 45), glows: [] });
    const row = [0, 5, 10, 15, 20, 30].map((k) => at(page, shadow, 246 + k, 200));
    expect(row).to.deep.equal([...row].sort((a, b) => b - a));
    expect(row[0]).to.be.above(200);
    expect(at(page, shadow, 154, 200)).to.equal(0);
    expect(at(page, shadow, 200, 200)).to.equal(0);
  });

  it('are longer the lower the light, close all round in soft light, and fall on no sky', async () => {
    const page = await lantern();
    const [ball, wall] = [
      thing('ball', [labelAt(page, 200, 200)], 'ball'),
      thing('wall', [labelAt(page, 20, 20)], 'flat'),
    ];
    const area = (things: FormedThing[], main: MainLight) =>
      pageFields(page, things, { main, glows: [] }).shadow.reduce((n, value) => n + Number(value > 0), 0);
    expect(area([ball, wall], from(180, 20))).to.be.above(1.5 * area([ball, wall], from(180, 60)));
    const { shadow } = pageFields(page, [ball, wall], soft);
    for (const [x, y] of [
      [247, 200],
      [153, 200],
      [200, 247],
      [200, 153],
    ])
      expect(at(page, shadow, x, y)).to.be.above(40);
    expect(area([ball, { ...wall, material: 'sky' }], from(180, 20))).to.equal(0);
    expect(area([wall, ball], from(0, 20)), 'the wall in front casts on the ball').to.be.above(0);
  });
});

import { expect } from 'chai';
import { type Region, distanceToLines, findRegions, growLabels } from '../lineart/index.ts';
import {
  type FormedThing,
  type Lighting,
  type MainLight,
  FORMS,
  coarsePage,
  formById,
  formSketch,
  glowContrasts,
  pageFields,
  proposeForm,
  shadeOf,
} from './index.ts';

const PER_MM = 10;
/** A page of white paper, 10 px per mm, with lines where `ink` says so. */
async function drawn(width: number, height: number, ink: (x: number, y: number) => boolean) {
  const data = new Uint8Array(width * height).map((_, i) => (ink(i % width, Math.floor(i / width)) ? 10 : 250));
  const map = await findRegions({ width, height, data }, { pixelsPerMm: PER_MM });
  const grown = growLabels(map.labels, width, height, 20);
  return { ...map, grown, distance: distanceToLines(map.labels, width, height) };
}
type Drawn = Awaited<ReturnType<typeof drawn>>;

/** A disc of radius 100 px in the middle. */
const disc = () => drawn(280, 280, (x, y) => Math.abs(Math.hypot(x - 140, y - 140) - 102) < 2);
/** A bar of 300 x 80 px, upright or lying. */
const bar = (upright: boolean) =>
  drawn(400, 400, (x, y) => {
    const [a, b] = upright ? [y, x] : [x, y];
    const box = (m: number) => a >= 50 - m && a < 350 + m && b >= 160 - m && b < 240 + m;
    return box(3) && !box(0);
  });
/** A tile with a round lantern in it. */
const lantern = () =>
  drawn(400, 400, (x, y) => {
    const r = Math.hypot(x - 200, y - 200);
    const edge = Math.min(x, y, 399 - x, 399 - y);
    return Math.abs(r - 42) < 2 || (edge >= 4 && edge < 7);
  });

const soft: Lighting = { main: { kind: 'ambient' }, glows: [] };
const from = (azimuthDegrees: number, heightDegrees: number): MainLight => ({
  ...{ kind: 'direction', azimuthDegrees, heightDegrees },
});
const thing = (id: string, regionIds: number[], form = 'raised', material: string | null = null): FormedThing => ({
  ...{ id, regionIds, form, material },
});
const at = ({ width }: { width: number }, field: Uint8Array, x: number, y: number) => field[y * width + x];
const labelAt = (page: Drawn, x: number, y: number) => page.grown[y * page.width + x];

describe('forms in light', () => {
  it('a ball follows the formula of a sphere, in soft light and from any side', async () => {
    const page = await disc();
    const reach = Math.max(...page.distance.filter((_, i) => page.grown[i] === 1));
    for (const main of [soft.main, from(225, 45), from(10, 25), { kind: 'behind' } as const]) {
      const { tone } = pageFields(page, [thing('ball', [1], 'ball')], { main, glows: [] });
      const shade = shadeOf(main);
      let [off, count, worst] = [0, 0, 0];
      for (let y = 44; y < 237; y += 3) {
        for (let x = 44; x < 237; x += 3) {
          const r = Math.hypot(x - 140, y - 140) / (reach + 2);
          if (r > 0.9) continue;
          const [nx, ny] = [(x - 140) / (reach + 2), (y - 140) / (reach + 2)];
          const wrong = Math.abs(at(page, tone, x, y) / 255 - shade(nx, ny, Math.sqrt(1 - r * r), 0));
          off += wrong;
          count++;
          worst = Math.max(worst, wrong);
        }
      }
      expect(off / count, main.kind).to.be.below(0.015);
      expect(worst, main.kind).to.be.below(0.11);
    }
  });

  it('a tube follows the formula of a cylinder along all its length, upright or lying', async () => {
    for (const upright of [false, true]) {
      const page = await bar(upright);
      const main = from(upright ? 180 : 270, 45);
      const { tone } = pageFields(page, [thing('pole', [1], 'tube')], { main, glows: [] });
      const shade = shadeOf(main);
      for (const along of [70, 200, 330]) {
        for (let k = -36; k <= 36; k += 6) {
          const lean = (k + 0.5) / 41.5;
          const [nx, ny] = upright ? [lean, 0] : [0, lean];
          const is = at(page, tone, ...((upright ? [200 + k, along] : [along, 200 + k]) as [number, number]));
          expect(is / 255).to.be.closeTo(shade(nx, ny, Math.sqrt(1 - lean * lean), 0), 0.04);
        }
      }
    }
  });

  it('a light from the upper left makes that side pale and the other dark, a hollow the other way round', async () => {
    const page = await disc();
    const lighting = { main: from(225, 40), glows: [] };
    const raised = pageFields(page, [thing('bun', [1])], lighting).tone;
    const hollow = pageFields(page, [thing('bowl', [1], 'hollow')], lighting).tone;
    expect(at(page, raised, 90, 90)).to.be.above(at(page, raised, 190, 190) + 60);
    expect(at(page, hollow, 90, 90)).to.be.below(at(page, hollow, 190, 190) - 60);
  });

  it('the core shadow lies before the far rim, which reflected light lifts', async () => {
    const page = await disc();
    const { tone } = pageFields(page, [thing('ball', [1], 'ball')], { main: from(180, 20), glows: [] });
    const row = [...tone.subarray(140 * page.width + 140, 140 * page.width + 238)];
    const core = row.indexOf(Math.min(...row));
    expect(core).to.be.within(30, 92);
    expect(row.at(-1)).to.be.above(row[core]);
  });

  it('from behind the rim is pale and the middle dark', async () => {
    const page = await disc();
    const { tone } = pageFields(page, [thing('hare', [1], 'ball')], { main: { kind: 'behind' }, glows: [] });
    expect(at(page, tone, 44, 140)).to.be.above(180);
    expect(at(page, tone, 140, 140)).to.be.below(12);
  });

  it('a leaf lies in two halves, one of which faces the light; a cut stone has faces of one value each', async () => {
    const flatBar = await bar(false);
    const lighting = { main: from(270, 35), glows: [] };
    const { tone } = pageFields(flatBar, [thing('leaf', [1], 'leaf')], lighting);
    expect(at(flatBar, tone, 200, 215)).to.be.above(at(flatBar, tone, 200, 185) + 40);
    const page = await disc();
    const stone = pageFields(page, [thing('stone', [1], 'faceted')], lighting).tone;
    const ring = Array.from({ length: 120 }, (_, k) => {
      const angle = (2 * Math.PI * (k + 0.5)) / 120;
      return at(page, stone, Math.round(140 + 84 * Math.cos(angle)), Math.round(140 + 84 * Math.sin(angle)));
    });
    expect(new Set(ring).size).to.be.at.most(9);
  });

  it('the parts of a thing that hang together are one ball, those apart are balls of their own', async () => {
    // Two discs, the left one cut by an upright line.
    const page = await drawn(500, 260, (x, y) => {
      const [left, right] = [Math.hypot(x - 130, y - 130), Math.hypot(x - 380, y - 130)];
      return Math.abs(left - 92) < 2 || Math.abs(right - 62) < 2 || (Math.abs(x - 130) < 2 && left < 92);
    });
    expect(page.regions).to.have.length(3);
    const { tone } = pageFields(page, [thing('buns', [1, 2, 3], 'ball')], soft);
    expect(at(page, tone, 134, 130)).to.be.above(235);
    expect(at(page, tone, 380, 130)).to.be.above(235);
    const each = pageFields(page, [thing('buns', [1, 2, 3])], soft).tone;
    expect(at(page, each, 134, 130)).to.be.below(60);
  });

  it('a background fades over the whole thing and lets the light alone', async () => {
    const page = await disc();
    for (const main of [soft.main, from(0, 10)]) {
      const { tone } = pageFields(page, [thing('sky', [1], 'fades-down')], { main, glows: [] });
      const column = [50, 100, 150, 200, 230].map((y) => at(page, tone, 140, y));
      expect(column).to.deep.equal([...column].sort((a, b) => a - b));
      expect(column[4] - column[0]).to.be.above(150);
    }
  });

  it('nothing is lit beside the regions', async () => {
    const page = await disc();
    const { tone, glow, shadow } = pageFields(page, [thing('bun', [1])], soft);
    for (const field of [tone, glow, shadow]) expect(at(page, field, 5, 5)).to.equal(0);
  });

  it('a coarse look is the same light', async () => {
    const page = await disc();
    const lighting = { main: from(225, 45), glows: [] };
    const whole = pageFields(page, [thing('ball', [1], 'ball')], lighting).tone;
    const coarse = pageFields(coarsePage(page, 4), [thing('ball', [1], 'ball')], lighting).tone;
    for (const [x, y] of [
      [80, 120],
      [140, 140],
      [200, 160],
    ]) {
      expect(coarse[(y / 4) * 70 + x / 4] - at(page, whole, x, y)).to.be.within(-22, 22);
    }
  });
});

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

describe('lights that cannot be', () => {
  it('are refused in words', async () => {
    const page = await disc();
    const refused = (lighting: Lighting, words: string) =>
      expect(() => pageFields(page, [], lighting)).to.throw(RangeError, words);
    const glow = { thingId: 'lamp', at: null, reachMm: 10, strength: 1 };
    refused({ main: from(0, 2), glows: [] }, 'between 5 and 90');
    refused({ ...soft, glows: [{ ...glow, reachMm: 0 }] }, 'further than 0 mm');
    refused({ ...soft, glows: [{ ...glow, strength: 2 }] }, 'at most 1');
    refused({ ...soft, glows: [{ ...glow, thingId: null }] }, 'a thing or from a point');
    expect(() => formById('cube')).to.throw(RangeError, 'no form');
  });

  it('a glow of a thing that is no longer there is left out', async () => {
    const page = await disc();
    const glows = [{ thingId: 'gone', at: null, reachMm: 10, strength: 1 }];
    expect(Math.max(...pageFields(page, [], { ...soft, glows }).glow)).to.equal(0);
  });
});

describe('the form that is proposed', () => {
  const region = (shape: Region['shape'], areaMm2: number, y = 10) =>
    ({ shape, areaMm2, centroid: { x: 10, y } }) as Region;
  const page = { widthMm: 200, heightMm: 200 };

  it('is a sky for a large region above, water for one below', () => {
    expect(proposeForm([region('irregular', 5000, 40)], page)).to.equal('fades-down');
    expect(proposeForm([region('irregular', 5000, 170)], page)).to.equal('fades-up');
    expect(proposeForm([region('irregular', 5000, 40)], page, 'stone')).to.equal('flat');
  });

  it('follows the material, or else the shape that most of a thing has', () => {
    expect(proposeForm([region('tube', 100)], page, 'leaf')).to.equal('leaf');
    expect(proposeForm([region('tube', 100)], page, 'wood')).to.equal('tube');
    expect(proposeForm([region('ball', 100), region('irregular', 30)], page)).to.equal('ball');
    expect(proposeForm([region('ball', 100), region('irregular', 90)], page)).to.equal('raised');
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

describe('the sketch of a form', () => {
  it('shows each form in its own way, on a clear ground', () => {
    const pictures = FORMS.map((form) => formSketch(form, from(225, 45), 48));
    for (const { width, height, data } of pictures) {
      expect([width, height]).to.deep.equal([48, 48]);
      expect(data[3]).to.equal(0);
      expect(data[4 * (24 * 48 + 24) + 3]).to.equal(255);
    }
    expect(new Set(pictures.map(({ data }) => data.join())).size).to.be.at.least(FORMS.length - 1);
  });

  it('turns with the light', () => {
    const half = (azimuth: number, left: boolean) => {
      const { data } = formSketch(formById('ball'), from(azimuth, 30), 60);
      let sum = 0;
      for (let y = 10; y < 50; y++) for (let x = 0; x < 24; x++) sum += data[4 * (y * 60 + (left ? x : 59 - x))];
      return sum;
    };
    expect(half(180, true)).to.be.above(1.3 * half(180, false));
    expect(half(0, false)).to.be.above(1.3 * half(0, true));
  });
});

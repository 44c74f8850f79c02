import { expect } from 'chai';
import { type Region } from '../lineart/index.ts';
import { at, bar, disc, drawn, from, soft, thing } from './test/drawn-page.ts';
import { type Lighting, FORMS, coarsePage, formById, formSketch, pageFields, proposeForm, shadeOf } from './index.ts';

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
    expect(proposeForm([region('irregular', 5000, 40)], page, 'stone')).to.equal('plane');
  });

  it('follows the material, or else the shape that most of a thing has', () => {
    expect(proposeForm([region('tube', 100)], page, 'leaf')).to.equal('leaf');
    expect(proposeForm([region('tube', 100)], page, 'wood')).to.equal('tube');
    expect(proposeForm([region('ball', 100), region('irregular', 30)], page)).to.equal('ball');
    expect(proposeForm([region('ball', 100), region('irregular', 90)], page)).to.equal('raised');
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

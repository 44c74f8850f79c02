import { expect } from 'chai';
import { type Lab, labOfHex, oklchOfLab } from '../colour/index.ts';
import { bareGround, layPasses, paperById, pencilOptics, whiteBook } from '../laydown/index.ts';
import { type Field } from '../light/index.ts';
import {
  EFFECTS,
  EFFECT_HEADS,
  type Recipe,
  type RegionContext,
  checkRecipe,
  choicesOf,
  compileRecipe,
  familyOf,
  fieldsOf,
  passesOf,
  proposeEffect,
  shareInZone,
} from './index.ts';

const HEX: Record<string, string> = {
  soot: '#2b2521',
  russet: '#7a4a2a',
  ochre: '#c6913a',
  lemon: '#f2d24a',
  cream: '#f6ecc4',
  white: '#fbfbf8',
  night: '#22315f',
  blue: '#4f6bb0',
  sky: '#b5d4ea',
  slate: '#71787f',
  silver: '#c9ccd0',
  brook: '#5b86c4',
};
const optics = new Map(
  Object.entries(HEX).map(([id, hex]) => [id, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]),
);
const context: RegionContext = {
  regions: [{ usableWidthMm: 40, areaMm2: 4000 }],
  heightMm: 100,
  outMm: 50,
  labOf: (id) => labOfHex(HEX[id]),
};
const dusk = familyOf(['night', 'blue', 'sky', 'cream']);
const made = (effect: string, family = dusk, more: Partial<RegionContext> = {}) =>
  compileRecipe(effect, 'base-coat-first', family, { ...context, ...more });

/** What lies at a place when all of a recipe is laid. */
function laidAt({ layers }: Recipe, at: Partial<Record<Field, number>>, source = 0, paper = whiteBook) {
  const place = Object.fromEntries(
    Object.entries(at).map(([field, value]) => [field, { value, source: field === 'reflect' ? source : 0 }]),
  );
  const passes = layers.flatMap((layer) => {
    const share = shareInZone(layer.zone, place);
    return share > 0.004 ? passesOf(layer, optics, share) : [];
  });
  return layPasses(bareGround(paper), passes);
}
const along = (recipe: Recipe, field: Field, values: readonly number[]): Lab[] =>
  values.map((value) => laidAt(recipe, { [field]: value }).lab);
const steps = Array.from({ length: 41 }, (_, k) => k / 40);
const rises = (row: readonly number[], by = 1) => row.slice(1).every((value, k) => value >= row[k] - by);

describe('a long gradient', () => {
  it('has a band for each pencil, all equally wide, palest at its foot, and no line that shows', () => {
    const recipe = made('long-gradient');
    const bands = recipe.layers.slice(0, 4).map(({ zone }) => [zone.from, zone.to]);
    expect(bands).to.deep.equal([
      [0, 0.25],
      [0.25, 0.5],
      [0.5, 0.75],
      [0.75, 1],
    ]);
    const values = along(recipe, 'along', steps).map(([l]) => l);
    expect(rises(values, 1.5)).to.equal(true);
    expect(Math.max(...values.slice(1).map((value, k) => value - values[k]))).to.be.below(8);
    for (const { zone } of recipe.layers) expect(zone.softnessMm).to.be.at.least(100 / 4 / 3);
  });

  it('turns over where the background is palest at its top', () => {
    const values = along(made('long-gradient', dusk, { palest: 'top' }), 'along', [...steps].reverse()).map(([l]) => l);
    expect(rises(values, 1.5)).to.equal(true);
  });

  it('by equal steps gives pencils that lie close together less room than those far apart', () => {
    const close = familyOf(['night', 'blue', 'brook', 'cream']);
    const edges = made('long-gradient-by-step', close)
      .layers.slice(0, 4)
      .map(({ zone }) => zone.to - zone.from);
    expect(edges[2]).to.be.above(1.3 * edges[1]);
    expect(made('long-gradient-by-step', close, { labOf: undefined }).notes.join()).to.contain('equally wide');
  });

  it('hides a blend line behind what stands in front where that is near enough, and says so', () => {
    const hidden = made('long-gradient', dusk, { crossings: [0.28, 0.9] });
    expect(hidden.layers[0].zone.to).to.equal(0.28);
    expect(hidden.layers[1].zone.from).to.equal(0.28);
    expect(hidden.notes.join()).to.contain('1 of 3 blend lines');
  });

  it('keeps its deep bands out of a glow, and fades into it', () => {
    const lit = made('long-gradient', dusk, { glow: { reachMm: 20, pencil: null, warm: true } });
    const values = [0, 0.25, 0.5, 0.75, 1].map((glow) => laidAt(lit, { along: 0.1, glow }).lab[0]);
    expect(rises(values)).to.equal(true);
    expect(values[4] - values[0]).to.be.above(35);
    expect(laidAt(lit, { along: 0.1, glow: 1 }).specks).to.equal(1);
  });

  it('of pastels is pulled together with a soft tip', () => {
    const recipe = made('long-gradient', dusk, { typeOf: () => 'pastel' });
    expect(recipe.layers.at(-1)!.tool).to.equal('soft-tip');
  });
});

describe('a glow', () => {
  const glow = { reachMm: 24, pencil: null, warm: true };

  it('grows steadily from the dark outside to a core that nothing enters', () => {
    for (const effect of ['warm-glow', 'cool-glow']) {
      const values = along(made(effect, dusk, { glow }), 'glow', steps).map(([l]) => l);
      expect(rises(values, 1.5), effect).to.equal(true);
      expect(values.at(-1)! - values[0], effect).to.be.above(40);
    }
    expect(laidAt(made('cool-glow', dusk, { glow }), { glow: 1 }).specks).to.equal(1);
  });

  it('has rings of equal width in mm, one for each pencil but the darkest, which lies beyond them', () => {
    const recipe = made('warm-glow', dusk, { glow });
    const rings = recipe.layers.filter(({ id }) => id === 'light' || id.startsWith('middle'));
    const widths = rings.map(({ zone }) => (zone.to - zone.from) * zone.overMm);
    expect(rings).to.have.length(3);
    for (const width of widths) expect(width).to.be.closeTo(widths[0], 0.05);
    expect(recipe.notes.join()).to.contain(`${widths[0].toFixed(1)} mm wide`);
    expect(recipe.layers.every(({ zone }) => zone.field === 'glow')).to.equal(true);
  });

  it('of a warm light gets clearer from the core outwards before it gets dark', () => {
    const warm = made('warm-glow', familyOf(['soot', 'russet', 'ochre', 'cream']), { glow });
    const chroma = (value: number) => oklchOfLab(laidAt(warm, { glow: value }).lab).c;
    expect(chroma(0.5)).to.be.above(chroma(0.95) + 0.02);
  });

  it('on toned paper gets a core of white pencil, since the paper is too dark to be one', () => {
    const grey = paperById('toned-grey-card');
    const toned = { glow, paperValue: labOfHex(grey.tint)[0], white: 'white' };
    const recipe = made('cool-glow', dusk, toned);
    expect(recipe.layers.at(-1)).to.include({ role: 'white', pencil: 'white' });
    expect(laidAt(recipe, { glow: 1 }, 0, grey).lab[0]).to.be.above(labOfHex(grey.tint)[0] + 4);
    expect(made('cool-glow', dusk, { ...toned, white: null }).notes.join()).to.contain('no white pencil');
  });

  it('on a subject is mapped first: the side that faces it ends lightest, the other is deepened', () => {
    const lit = made('lit-by-glow', familyOf(['night', 'blue', 'sky']), { glow: { ...glow, pencil: 'ochre' } });
    const [near, far] = [1, 0].map((value) => laidAt(lit, { tone: 0.2, lit: value }).lab);
    expect(near[0]).to.be.above(far[0] + 12);
    expect(near[2]).to.be.above(far[2] + 12);
    expect(lit.layers[0]).to.include({ id: 'glow', pencil: 'ochre' });
    const across = steps.map((value) => laidAt(lit, { tone: 0.4, lit: value }).lab[0]);
    expect(Math.max(...across)).to.be.at.most(across.at(-1)! + 3);
  });
});

describe('a backlit subject', () => {
  it('has a pale rim and a dark middle, and each layer is smaller than the last', () => {
    const recipe = made('backlit', familyOf(['soot', 'russet', 'ochre']));
    const laid = recipe.layers.filter(({ id }) => id !== 'base').map(({ zone }) => zone.to);
    expect(laid).to.deep.equal([...laid].sort((p, q) => q - p));
    // Under a light from behind the rim is the highlight.
    expect(laidAt(recipe, { tone: 0.97 }).lab[0]).to.be.above(laidAt(recipe, { tone: 0.1 }).lab[0] + 35);
  });
});

describe('a cut gem', () => {
  it('is darkest right beside its white facet, aglow on the far side, with hard edges between', () => {
    const recipe = made('cut-gem', familyOf(['night', 'blue', 'sky']));
    const values = along(recipe, 'turn', steps).map(([l]) => l);
    expect(laidAt(recipe, { turn: 0.97 }).specks).to.equal(1);
    const darkest = steps[values.indexOf(Math.min(...values))];
    expect(darkest).to.be.within(0.7, 0.9);
    expect(values[2]).to.be.above(Math.min(...values) + 25);
    expect(recipe.layers.every(({ zone }) => zone.softnessMm <= 0.1)).to.equal(true);
  });
});

describe('what shows its neighbours', () => {
  const shown = [
    { name: 'the sky', pencil: 'blue' },
    { name: 'the hut', pencil: 'ochre' },
  ];

  it('silver takes a trace of each, on the side that faces it, and stays bare in its highlight', () => {
    const silver = made('polished-metal', familyOf(['soot', 'slate', 'silver']), { shown });
    const [sky, hut] = [0, 1].map((source) => laidAt(silver, { tone: 0.65, reflect: 1 }, source).lab);
    const none = laidAt(silver, { tone: 0.65, reflect: 0 }).lab;
    expect(sky[2]).to.be.below(none[2] - 1);
    expect(hut[2]).to.be.above(none[2] + 1);
    expect(laidAt(silver, { tone: 0.99, reflect: 1 }).specks).to.equal(1);
  });

  it('a thing without a pencil of its own there leaves no trace', () => {
    const silver = made('polished-metal', familyOf(['soot', 'slate', 'silver']), {
      shown: [{ name: 'a gull', pencil: null }],
    });
    expect(silver.layers.some(({ role }) => role === 'reflected')).to.equal(false);
  });

  it('still water repeats it darker, bluer and with less contrast than it is', () => {
    const water = made('still-water', familyOf(['night', 'blue', 'sky']), { shown });
    const itself = layPasses(
      bareGround(whiteBook),
      Array.from({ length: 2 }, () => ({ pencil: optics.get('ochre')!, pressure: 'medium' as const })),
    ).lab;
    const mirrored = laidAt(water, { along: 0.2, reflect: 1 }, 1).lab;
    expect(mirrored[2]).to.be.below(itself[2]);
    const deep = [0.2, 0.95].map((down) => laidAt(water, { along: down, reflect: 0 }).lab[0]);
    expect(deep[1]).to.be.below(deep[0] - 15);
    const contrast = (value: number) =>
      Math.abs(
        laidAt(water, { along: 0.2, reflect: 1 }, value).lab[0] - laidAt(water, { along: 0.2, reflect: 0 }).lab[0],
      );
    expect(contrast(1)).to.be.below(Math.abs(itself[0] - labOfHex(whiteBook.tint)[0]));
    expect(water.layers.every(({ direction }) => direction === 'level')).to.equal(true);
    expect(made('still-water', dusk).notes.join()).to.contain('water line');
  });

  it('snow takes the sky in its shadow before any grey, and keeps its sun side bare', () => {
    const snow = made('snow', familyOf(['blue', 'sky'], { neutral: 'slate' }), { shown });
    const order = snow.layers.map(({ role }) => role);
    expect(order.indexOf('reflected')).to.be.below(order.indexOf('neutral'));
    expect(laidAt(snow, { tone: 0.9, reflect: 0 }).specks).to.equal(1);
    expect(laidAt(snow, { tone: 0.9, reflect: 1 }).specks, 'no trace on what is lit').to.equal(1);
    const sunny = made('snow', familyOf(['blue', 'sky'], { accent: 'cream' })).layers.at(-1)!;
    expect(sunny).to.include({ role: 'accent', pressure: 'whisper' });
    expect(sunny.zone.from).to.be.above(0.5);
  });
});

describe('textures and materials', () => {
  const strokes = (effect: string, family = familyOf(['soot', 'russet', 'ochre'])) =>
    made(effect, family).layers.map(({ stroke }) => stroke);

  it('stone is scumbled and then dotted, wood runs along its grain, short fur is hatched or dotted, long has a blend under it', () => {
    expect(strokes('stone').at(-1)).to.equal('stippling');
    expect(strokes('stone')[0]).to.equal('scumbling');
    expect(made('wood', dusk).layers.every(({ direction }) => direction === 'along the shape')).to.equal(true);
    expect(
      made('wood', dusk)
        .layers.slice(-2)
        .map(({ id }) => id),
    ).to.deep.equal(['unify', 'grain']);
    const coat = (mm: number) => made('fur', dusk, { regions: [{ usableWidthMm: mm, areaMm2: mm * mm }] }).layers;
    expect(coat(40)[0]).to.include({ id: 'undercoat', stroke: 'small circles' });
    expect(coat(9).every(({ stroke }) => stroke === 'flicks')).to.equal(true);
    expect(coat(3).find(({ id }) => id === 'shadow')!.stroke).to.equal('stippling');
    expect(new Set(strokes('fur-by-density'))).to.deep.equal(new Set(['hatching']));
    expect(new Set(made('fur-by-density', dusk).layers.map(({ pressure }) => pressure))).to.deep.equal(
      new Set(['light']),
    );
  });

  it('dots leave less than a full pass does', () => {
    const [dots] = made('stone', dusk).layers.slice(-1);
    const full = { ...dots, stroke: 'small circles' as const };
    const on = (layer: typeof dots) => layPasses(bareGround(whiteBook), passesOf(layer, optics)).specks;
    expect(on(dots)).to.be.above(on(full) + 0.1);
  });

  it('a petal is deep in its throat and pale at its tip, a cloud is paper above and soft below', () => {
    const petal = along(made('petal', familyOf(['russet', 'ochre', 'cream'])), 'out', steps).map(([l]) => l);
    expect(rises(petal)).to.equal(true);
    expect(laidAt(made('petal'), { out: 1 }).specks).to.equal(1);
    expect(made('petal').layers.at(-1)).to.include({ id: 'unify', role: 'light' });
    const cloud = made('cloud', familyOf(['blue', 'sky']));
    expect(laidAt(cloud, { tone: 0.3, along: 0.02 }).specks).to.be.above(
      laidAt(cloud, { tone: 0.3, along: 0.95 }).specks + 0.2,
    );
    expect(laidAt(cloud, { tone: 0.95, along: 0.95 }).specks).to.equal(1);
  });

  it('a leaf has its printed veins put back last, sharp and dark, where there is room for them', () => {
    const veins = made('leaf-with-veins').layers.at(-1);
    expect(veins).to.include({ id: 'veins', point: 'sharp', pressure: 'firm', stroke: 'fine lines', pencil: 'night' });
    const small = compileRecipe('leaf-with-veins', 'base-coat-first', dusk, {
      regions: [{ usableWidthMm: 3, areaMm2: 20 }],
    });
    expect(small.layers.some(({ id }) => id === 'veins')).to.equal(false);
    expect(small.notes.join()).to.contain('no room for veins');
  });

  it('a wash lies wet under everything else and dries before that; without a soluble pencil there is none', () => {
    const wash = made('base-wash', dusk, { typeOf: (id) => (id === 'cream' ? 'water-soluble' : 'wax') });
    expect(wash.layers.slice(0, 2).map(({ tool }) => tool)).to.deep.equal([undefined, 'water']);
    expect(wash.layers[1].dryMinutes).to.be.at.least(15);
    expect(made('base-wash', dusk).notes.join()).to.contain('no wash');
  });

  it('a side face is laid with the darker half of its family, towards the vanishing point', () => {
    const side = made('side-face');
    expect(side.layers.some(({ pencil }) => pencil === 'cream')).to.equal(false);
    expect(side.layers.every(({ direction }) => direction === 'to the vanishing point')).to.equal(true);
  });

  it('what is calmed has its grey under the colour, skin whispers into its highlight, an eye keeps its spark', () => {
    expect(made('calmed-neutral', { ...dusk, neutral: 'slate' }).layers[0]).to.include({ role: 'neutral' });
    expect(laidAt(made('skin', familyOf(['russet', 'ochre', 'cream'])), { tone: 1 }).specks).to.be.within(0.1, 0.95);
    const eye = made('eye', familyOf(['soot', 'russet', 'ochre']));
    expect(laidAt(eye, { tone: 0.99 }).specks).to.equal(1);
    expect(laidAt(eye, { tone: 0.85 }).lab[0]).to.be.below(laidAt(eye, { tone: 0.65 }).lab[0]);
  });
});

describe('the effect of a thing', () => {
  const glow = (share: number, warm = true) => ({ glow: { share, warm }, backlit: false });

  it('follows its material first and its light next', () => {
    expect(proposeEffect('sky', glow(0.1))).to.equal('long-gradient-by-step');
    expect(proposeEffect('sky', glow(0.7))).to.equal('warm-glow');
    expect(proposeEffect('sky', glow(0.7, false))).to.equal('cool-glow');
    expect(proposeEffect('cloth', glow(0.3))).to.equal('lit-by-glow');
    expect(proposeEffect('gold', glow(0.3))).to.equal('polished-metal');
    expect(proposeEffect('fur', { glow: null, backlit: true })).to.equal('fur');
    expect(proposeEffect(null, { glow: null, backlit: true })).to.equal('backlit');
    expect(proposeEffect('light', { glow: null, backlit: true })).to.equal('light-source');
    expect(proposeEffect('gem', { glow: null, backlit: false, form: 'faceted' })).to.equal('cut-gem');
  });

  it('never looks at more than two fields', () => {
    const zone = { from: 0, to: 1, softnessMm: 1, overMm: 4 };
    const looking = (fields: readonly Field[]) => fields.map((field) => ({ zone: { ...zone, field } }));
    expect(fieldsOf(looking(['glow', 'tone']))).to.deep.equal(['tone', 'glow']);
    expect(fieldsOf([])).to.deep.equal(['tone']);
    expect(() => fieldsOf(looking(['tone', 'glow', 'along']))).to.throw(RangeError, '2 fields');
  });
});

describe('a background that crosses to another hue', () => {
  it('does so where both are palest, and no grey lies between them', () => {
    const crossing = made('long-gradient', familyOf(['night', 'blue', 'sky', 'cream'], { accent: 'ochre' }));
    const row = along(crossing, 'along', steps).map(oklchOfLab);
    const palest = row.map(({ l }) => l).indexOf(Math.max(...row.map(({ l }) => l)));
    expect(palest).to.be.within(20, 38);
    expect(row.at(-1)!.h).to.be.within(60, 100);
    expect(row[0].h).to.be.within(240, 300);
    expect(row.at(-1)!.l).to.be.below(row[palest].l - 0.02);
    expect(Math.min(...row.slice(palest).map(({ l }) => l))).to.be.above(0.72);
  });
});

describe('rings of a glow with more than their own family', () => {
  const glow = { reachMm: 24, pencil: null, warm: true };
  const own = ['soot', 'russet', 'lemon', 'cream'];
  it('have an accent over the first line between rings, so that no step shows there', () => {
    const values = (more: Partial<Parameters<typeof familyOf>[1]>) =>
      along(made('warm-glow', familyOf(own, more), { glow }), 'glow', steps);
    const largest = (row: readonly Lab[]) =>
      Math.max(...row.slice(1).map((lab, k) => Math.hypot(...lab.map((value, i) => value - row[k][i]))));
    const [plain, enriched] = [values({}), values({ accent: 'ochre' })];
    expect(largest(enriched)).to.be.at.most(largest(plain) + 0.5);
    const chroma = (row: readonly Lab[]) => Math.max(...row.map((lab) => oklchOfLab(lab).c));
    expect(chroma(enriched)).to.be.at.least(chroma(plain) - 0.002);
  });

  it('have their depth where no light reaches', () => {
    const deep = made('warm-glow', familyOf(own, { depth: 'night' }), { glow });
    expect(deep.layers.find(({ id }) => id === 'deepen')).to.include({ pencil: 'night', role: 'depth' });
  });
});

describe('a neutral from opposites', () => {
  it('is greyer than any of its pencils, in two hues or three, and no fault of it', () => {
    for (const own of [familyOf(['blue', 'ochre']), familyOf(['russet', 'brook', 'lemon'])]) {
      const recipe = made('mixed-neutral', own);
      const middle = oklchOfLab(laidAt(recipe, { tone: 0.5 }).lab);
      for (const pencil of own.pencils) {
        const alone = layPasses(bareGround(whiteBook), [
          { pencil: optics.get(pencil)!, pressure: 'light' as const },
          { pencil: optics.get(pencil)!, pressure: 'light' as const },
        ]);
        expect(middle.c, pencil).to.be.below(oklchOfLab(alone.lab).c);
      }
      const kinds = checkRecipe(recipe, context, optics, bareGround(whiteBook)).map(({ kind }) => kind);
      expect(kinds).to.not.include('opposites');
    }
    expect(made('mixed-neutral', familyOf(['blue'])).notes.join()).to.contain('give the family an accent');
  });
});

describe('a metal of many pencils', () => {
  it('has no rung narrower than a sharp point', () => {
    const many = familyOf(['soot', 'russet', 'ochre', 'slate', 'lemon', 'silver', 'cream', 'white']);
    for (const usableWidthMm of [3, 6, 12, 30]) {
      const recipe = made('polished-metal', many, { regions: [{ usableWidthMm, areaMm2: 400 }] });
      for (const { id, zone } of recipe.layers) {
        if (id.startsWith('middle'))
          expect((zone.to - zone.from) * zone.overMm, `${usableWidthMm} ${id}`).to.be.above(0.38);
      }
    }
  });
});

describe('what lies far off in a scene', () => {
  it('has softer darks than the same near by, and a metal keeps its own', () => {
    const darkest = (effect: string, far: number) => {
      const own = made(effect, familyOf(['night', 'blue', 'sky', 'cream'], { depth: 'soot' }), { far });
      return Math.min(...along(own, 'tone', steps).map(([l]) => l));
    };
    for (const effect of ['blend', 'leaf-with-veins', 'wood']) {
      expect(darkest(effect, 1), effect).to.be.above(darkest(effect, 0) + 1.5);
    }
    expect(darkest('polished-metal', 1)).to.equal(darkest('polished-metal', 0));
  });
});

describe('an eye', () => {
  const own = made('eye', familyOf(['soot', 'russet', 'ochre']));
  const value = (out: number, tone = 0.6) => laidAt(own, { out, tone }).lab[0];
  it('goes by the way from its middle, whatever the light does: pupil, iris, rim', () => {
    for (const tone of [0.3, 0.6, 0.85]) {
      expect(value(0.1, tone)).to.be.below(value(0.55, tone) - 10);
      expect(value(0.95, tone)).to.be.below(value(0.55, tone) - 5);
    }
  });
  it('keeps its spark on the pupil and on the iris, with the dark right beside it', () => {
    for (const out of [0.1, 0.5]) expect(laidAt(own, { out, tone: 0.99 }).specks).to.equal(1);
    expect(value(0.1, 0.86)).to.be.below(30);
  });
  it('glows on the side that is opposite its spark', () => {
    expect(value(0.55, 0.4)).to.be.above(value(0.55, 0.05) + 2);
  });
});

describe('a flame', () => {
  const own = made('flame', familyOf(['russet', 'ochre', 'lemon', 'cream']));
  const at = (out: number, along: number) => laidAt(own, { out, along }).lab[0];
  it('has a core that is darker than its mantle, and a tip that is darker than both', () => {
    expect(at(0.05, 0.8)).to.be.below(at(0.5, 0.8) - 4);
    expect(at(0.9, 0.05)).to.be.below(at(0.5, 0.5) - 8);
    expect(at(0.05, 0.8)).to.be.above(at(0.9, 0.05));
    expect(proposeEffect('fire')).to.equal('flame');
  });
});

describe('the artist’s marks', () => {
  it('are put back last, fine and sharp, where they are to be followed', () => {
    const layer = made('blend', dusk, { marks: 'follow' }).layers.at(-1)!;
    expect(layer).to.include({ id: 'marks', stroke: 'fine lines', point: 'sharp' });
    expect(made('leaf-with-veins', dusk, { marks: 'follow' }).layers.some(({ id }) => id === 'marks')).to.equal(false);
  });
  it('are not put back where they are to be ignored, and it is said what hides them', () => {
    for (const effect of ['leaf-with-veins', 'wood', 'blend']) {
      const own = made(effect, dusk, { marks: 'ignore' });
      expect(
        own.layers.some(({ stroke }) => stroke === 'fine lines'),
        effect,
      ).to.equal(false);
      expect(own.notes.join()).to.contain('ignored');
    }
  });
});

describe('a pane of glass that lies flat', () => {
  it('has hard bands across it and paper between them', () => {
    const pane = made('glass', dusk, { form: 'flat' });
    const row = along(pane, 'along', steps).map(([l]) => l);
    const hard = Math.max(...row.slice(1).map((l, k) => Math.abs(l - row[k])));
    expect(hard).to.be.above(6);
    expect(laidAt(pane, { along: 0.36 }).specks).to.be.above(0.5);
    expect(made('glass', dusk, { form: 'ball' }).layers.some(({ zone }) => zone.field === 'along')).to.equal(false);
  });
});

describe('effects that nearly coincide', () => {
  it('are one with a choice, and every effect can be reached', () => {
    const reached = EFFECT_HEADS.flatMap((head) => [head, ...choicesOf(head)].map(({ id }) => id));
    expect(new Set(reached)).to.deep.equal(new Set(EFFECTS.map(({ id }) => id)));
    for (const head of EFFECT_HEADS) {
      const called = choicesOf(head).map(({ choice }) => choice!.called);
      expect(new Set(called).size).to.equal(called.length);
      expect(called).to.not.have.length(1);
    }
    expect(new Set(EFFECT_HEADS.map(({ choice, name }) => choice?.of ?? name)).size).to.equal(EFFECT_HEADS.length);
  });
});

describe('which way colour is pulled', () => {
  it('is dark to light in backgrounds, light to dark in petals, and goes with no hard edge and no tool', () => {
    const pulls = (effect: string) => new Set(made(effect).layers.flatMap(({ pull }) => pull ?? []));
    expect([...pulls('long-gradient')]).to.deep.equal(['dark to light']);
    expect([...pulls('petal')]).to.deep.equal(['light to dark']);
    for (const { id } of EFFECTS) {
      for (const { pull, tool, zone } of made(id).layers) {
        if (tool || zone.softnessMm <= 0.15 || (zone.from === 0 && zone.to === 1)) expect(pull, id).to.equal(undefined);
      }
    }
  });

  it('says of a band where its edge lies behind what stands in front', () => {
    const crossed = made('long-gradient', dusk, { crossings: [0.26] });
    expect(crossed.layers[0].purpose).to.contain('behind what stands in front');
    expect(made('long-gradient').layers[0].purpose).to.not.contain('behind what stands in front');
  });
});

describe('colour beside lettering', () => {
  it('is to fade, so that this stays the clearest', () => {
    expect(made('blend', dusk, { lettering: ['Title'] }).notes.join()).to.match(/Fade it within 3 mm of Title/);
    expect(made('blend', dusk).notes.join()).to.not.contain('lettering');
  });
});

describe('an accent that is to show', () => {
  it('is whispered before anything dark covers its place', () => {
    for (const school of ['base-coat-first', 'dark-first', 'light-to-dark', 'dark-foundation']) {
      const ids = compileRecipe('blend', school, { ...dusk, accent: 'ochre' }, context).layers.map(({ id }) => id);
      expect(ids.indexOf('accent-first'), school).to.be.within(0, ids.indexOf('shadow') - 1);
      expect(ids.indexOf('accent'), school).to.be.above(ids.indexOf('shadow'));
    }
  });
});

import { expect } from 'chai';
import fc from 'fast-check';
import { type Lab, labOfOklch, wheelById, hueOfWheel } from '../../colour/index.ts';
import { whiteBook } from '../../laydown/index.ts';
import { onPaper } from '../../tray/index.ts';
import { type PageSummary, type PageThing, CHECKS, auditPage } from '../index.ts';

const wheel = wheelById('painters');
/** A colour by its place on the painter's wheel. */
const at = (angle: number, l: number, c: number): Lab => labOfOklch({ l, c, h: hueOfWheel(angle) });
const tray = onPaper(
  Array.from({ length: 12 }, (_, i) => [0.35, 0.6, 0.85].flatMap((l) => [0.03, 0.12].map((c) => at(30 * i, l, c))))
    .flat()
    .map((masstone, i) => ({ id: `pencil-${i}`, code: `T${i}`, masstone, type: 'wax' })),
  whiteBook,
);
const byId = new Map(tray.map((pencil) => [pencil.id, pencil]));
const thing = (id: string, areaMm2: number, x: number, more: Partial<PageThing> = {}): PageThing => ({
  id,
  name: id,
  areaMm2,
  widthMm: 10,
  at: { x, y: 0.5 },
  focus: false,
  natural: null,
  laid: null,
  alike: null,
  ...more,
});
const page: PageSummary = {
  things: [
    thing('lantern', 250, 0.3, { focus: true }),
    thing('buoy', 250, 0.7),
    thing('reed', 900, 0.15),
    thing('hut', 3000, 0.75),
    thing('sky', 9000, 0.5),
  ],
  borders: [
    { a: 'lantern', b: 'sky', lengthMm: 60 },
    { a: 'buoy', b: 'hut', lengthMm: 50 },
    { a: 'reed', b: 'sky', lengthMm: 90 },
    { a: 'hut', b: 'sky', lengthMm: 120 },
  ],
};
/** A page with nothing to say of: quiet deep blue sky, pale hut, dark reed, two clear orange accents left and right. */
const sound: Record<string, Lab> = {
  lantern: at(60, 0.8, 0.15),
  buoy: at(50, 0.5, 0.15),
  reed: at(270, 0.72, 0.05),
  hut: at(230, 0.75, 0.04),
  sky: at(240, 0.4, 0.08),
};
const audit = (colours: Record<string, Lab>, own = page, scheme = 'complementary') =>
  auditPage(own, new Map(Object.entries(colours)), tray, wheel, scheme);
const kinds = (...args: Parameters<typeof audit>) => [...new Set(audit(...args).findings.map(({ kind }) => kind))];

describe('an audit', () => {
  it('has nothing to say of a sound page, and gives it in numbers', () => {
    expect(audit(sound).findings).to.deep.equal([]);
    const { facts } = audit(sound);
    expect(facts.coloured).to.equal(1);
    expect(facts.hues[0]).to.include({ name: 'blue' });
    expect(facts.warm).to.be.below(0.1);
    expect(facts.value.light - facts.value.dark).to.be.above(22);
    expect(facts.accents.map(({ id }) => id)).to.have.members(['lantern', 'buoy']);
  });

  it('says of everything green and brown what stands against it, and which of these pencils that is', () => {
    const [finding, ...more] = audit({
      lantern: at(330, 0.85, 0.13),
      buoy: at(315, 0.35, 0.1),
      reed: at(300, 0.78, 0.08),
      hut: at(340, 0.75, 0.06),
      sky: at(310, 0.42, 0.06),
    }).findings;
    expect(finding.kind).to.equal('one-sided-hues');
    expect(more).to.deep.equal([]);
    expect(finding.sentence).to.contain('green');
    expect(finding.remedy.sentence).to.match(/Its opposite is red.*your nearest: T\d+/);
    for (const id of finding.remedy.pencils) expect(byId.get(id)!.wheelAngle).to.be.within(80, 190);
    expect(kinds({ lantern: sound.lantern }, page)).not.to.include('one-sided-hues');
  });

  it('does not say so where a scheme of one side was chosen', () => {
    const green = {
      lantern: at(330, 0.9, 0.14),
      buoy: at(315, 0.35, 0.1),
      reed: at(300, 0.78, 0.08),
      hut: at(340, 0.75, 0.06),
      sky: at(310, 0.42, 0.06),
    };
    expect(kinds(green, page, 'analogous')).to.deep.equal([]);
  });

  it('names neighbours that do not part, by how much, and what would part them from all round', () => {
    const { findings } = audit({ ...sound, reed: at(242, 0.43, 0.075) });
    expect(findings.map(({ kind }) => kind)).to.deep.equal(['unparted']);
    const [{ things, sentence, remedy }] = findings;
    expect(things).to.deep.equal(['reed', 'sky']);
    expect(sentence).to.contain('reed and sky do not part along 90 mm');
    expect(remedy.sentence).to.contain('reed parts from sky with orange, or either side of it; your nearest');
    expect(remedy.angles).to.have.length(3);
    expect(remedy.pencils.length).to.be.above(0);
  });

  it('leaves what keeps its natural colour alone and parts it by value', () => {
    const natural = at(242, 0.43, 0.075);
    const own = { ...page, things: page.things.map((t) => (['reed', 'sky'].includes(t.id) ? { ...t, natural } : t)) };
    const [{ remedy }] = audit({ ...sound, reed: natural }, own).findings;
    expect(remedy.sentence).to.contain('Both keep their colours').and.to.contain('lighter');
  });

  it('says what sinks into what lies behind it', () => {
    const [finding, ...more] = audit({ ...sound, reed: at(90, 0.41, 0.05) }).findings;
    expect(more).to.deep.equal([]);
    expect(finding).to.deep.include({ kind: 'sunk', things: ['reed', 'sky'] });
    expect(finding.remedy.sentence).to.match(/Take reed up to about L\* \d+; your nearest/);
  });

  it('says when something stands out more than the focus', () => {
    const [finding, ...more] = audit({ ...sound, lantern: at(150, 0.52, 0.09) }).findings.filter(
      ({ kind }) => kind !== 'accents-aside',
    );
    expect(more).to.deep.equal([]);
    expect(finding.kind).to.equal('weak-focus');
    expect(finding.things[0]).to.equal('lantern');
    expect(finding.remedy.sentence).to.contain('orange, against sky');
  });

  it('says when all is of one value', () => {
    const grey = {
      lantern: at(60, 0.6, 0.15),
      buoy: at(55, 0.55, 0.15),
      reed: at(270, 0.58, 0.05),
      hut: at(200, 0.62, 0.05),
      sky: at(240, 0.5, 0.13),
    };
    expect(kinds(grey)).to.include('sameness');
    expect(audit(grey).findings.find(({ kind }) => kind === 'sameness')!.remedy.sentence).to.contain('sky');
  });

  it('says when all accents sit on one side, and what on the other could repeat them', () => {
    const own = { ...page, things: [...page.things, thing('rope', 120, 0.2)] };
    const [finding, ...more] = audit(
      { ...sound, lantern: at(230, 0.85, 0.05), rope: at(230, 0.7, 0.03) },
      { ...own, things: own.things.map((t) => ({ ...t, focus: false })) },
    ).findings;
    expect(more).to.deep.equal([]);
    expect(finding).to.deep.include({ kind: 'accents-aside', things: ['buoy'] });
    expect(finding.sentence).to.equal('buoy is the only accent and sits on the right.');
    expect(finding.remedy.sentence).to.match(/on the left: (lantern|rope) could carry it/);
  });

  it('says when all accents lie near while the page goes deeper, and what could repeat them there', () => {
    const front = [thing('knot', 150, 0.2), thing('float', 150, 0.8)];
    const back = ['roof', 'tower', 'hill', 'wall', 'quay'].map((id, i) => thing(id, 700, 0.2 + 0.15 * i));
    const far = [thing('flag', 120, 0.45), thing('sail', 500, 0.6), thing('air', 9000, 0.5)];
    const deep: PageSummary = { things: [...front, ...back, ...far], borders: [] };
    const colours = {
      knot: at(60, 0.7, 0.15),
      float: at(55, 0.65, 0.15),
      air: at(240, 0.4, 0.08),
      ...Object.fromEntries(
        [...back, ...far.slice(0, 2)].map(({ id }, i) => [id, at(230 + 3 * i, 0.5 + 0.06 * i, 0.04)]),
      ),
    };
    const [finding, ...more] = audit(colours, deep).findings;
    expect(more).to.deep.equal([]);
    expect(finding.sentence).to.equal('All 2 accents lie near; the page goes deeper.');
    expect(finding.remedy.sentence).to.match(
      /^Let (flag|sail), further back, repeat orange more quietly; your nearest/,
    );
  });

  it('says when the eye has nowhere to rest', () => {
    const finding = audit({ ...sound, sky: at(240, 0.45, 0.14), hut: at(200, 0.78, 0.12) }).findings.find(
      ({ kind }) => kind === 'loud',
    )!;
    expect(finding.remedy.sentence).to.contain('Calm sky');
  });

  it('says nothing of what has no colour yet, and works with nothing coloured at all', () => {
    const none = audit({});
    expect(none.findings).to.deep.equal([]);
    expect(none.facts).to.include({ coloured: 0, warm: null });
  });

  it('names only things of the page and pencils of the tray, whatever the page looks like', () => {
    const colour = fc
      .record({
        a: fc.integer({ min: 0, max: 359 }),
        l: fc.double({ min: 0.2, max: 0.95, noNaN: true }),
        c: fc.double({ min: 0, max: 0.15, noNaN: true }),
      })
      .map(({ a, l, c }) => at(a, l, c));
    fc.assert(
      fc.property(fc.dictionary(fc.constantFrom(...page.things.map(({ id }) => id)), colour), (colours) => {
        const { findings, facts } = audit(colours);
        const known = new Set(CHECKS.map(({ id }) => id));
        for (const { kind, things, remedy, weight } of findings) {
          expect(known.has(kind)).to.equal(true);
          for (const id of things) expect(Object.keys(colours)).to.include(id);
          for (const id of remedy.pencils) expect(byId.has(id)).to.equal(true);
          expect(weight).to.be.within(0, 1.2);
        }
        expect(facts.hues.reduce((sum, { share }) => sum + share, facts.grey)).to.be.closeTo(
          Object.keys(colours).length ? 1 : 0,
          1e-6,
        );
      }),
    );
  });
});

import { expect } from 'chai';
import fc from 'fast-check';
import {
  type RuledPage,
  type Step,
  RULES,
  USUAL_RULES,
  ruleById,
  ruledSteps,
  sequence,
  validateSequence,
} from './index.ts';
import { placedPage, step } from './test/made-up.ts';

const beside = (a: number, b: number) => ({ a, b, lengthMm: 10 });
const page = (names: readonly string[], ...borders: RuledPage['borders']): RuledPage => ({
  things: names.map((name) => ({ id: name, name })),
  borders,
});
/** A lantern in region 1, laid pale and then strong, and a night sky in region 2 that is strong throughout. */
const lantern = [
  step('lantern', 'base', 'cream', [], { value: 92, regionIds: [1] }),
  step('lantern', 'glow', 'orange', ['lantern/base'], { value: 62, regionIds: [1] }),
];
const sky = [
  step('sky', 'base', 'pale blue', [], { value: 80, regionIds: [2] }),
  step('sky', 'dark', 'indigo', ['sky/base'], { value: 22, regionIds: [2] }),
];
const both = page(['lantern', 'sky'], beside(1, 2));
const waitsFor = (steps: readonly Step[], id: string) => steps.find((each) => each.id === id)!.after;

describe('rules between things', () => {
  it('finish the details of a face before what lies round them, where that is wished', () => {
    const eyes = [step('eyes', 'base', 'blue', [], { regionIds: [1] })];
    const fur = [
      step('fur', 'base', 'brown', [], { regionIds: [2] }),
      step('fur', 'dark', 'umber', ['fur/base'], { regionIds: [2] }),
    ];
    const face = page(['eyes', 'fur'], beside(1, 2));
    const { steps } = ruledSteps([...fur, ...eyes], face, ['face-early'], false);
    expect(waitsFor(steps, 'fur/dark')).to.include('eyes/base');
    expect(USUAL_RULES).to.not.include('face-early');
    const named = page(['shed', 'fur'], beside(1, 2));
    const shed = [step('shed', 'base', 'blue', [], { regionIds: [1] })];
    expect(waitsFor(ruledSteps([...fur, ...shed], named, ['face-early'], false).steps, 'fur/dark')).to.deep.equal([
      'fur/base',
    ]);
  });

  it('lay the pale base of a lantern before the indigo of the sky that touches it', () => {
    const { steps, leftOut } = ruledSteps([...sky, ...lantern], both, USUAL_RULES, false);
    expect(waitsFor(steps, 'sky/dark')).to.deep.equal(['sky/base', 'lantern/base']);
    expect(leftOut).to.deep.equal([]);
  });

  it('ask nothing where things lie apart, share only a corner, or the rule is switched off', () => {
    const apart = page(['lantern', 'sky'], { a: 1, b: 2, lengthMm: 0.5 });
    for (const [on, rules] of [
      [apart, USUAL_RULES],
      [both, []],
    ] as const) {
      expect(waitsFor(ruledSteps([...sky, ...lantern], on, rules, false).steps, 'sky/dark')).to.deep.equal([
        'sky/base',
      ]);
    }
  });

  it('wet what lies behind before what touches it is begun', () => {
    const wet = [sky[0], { ...sky[1], dryMinutes: 20, tool: 'solvent' }];
    const { steps } = ruledSteps([...lantern, ...wet], both, USUAL_RULES, false);
    expect(waitsFor(steps, 'lantern/base')).to.deep.equal(['sky/dark']);
  });

  it('drop the weaker wish of a circle and say which', () => {
    // The sky is to be wet before the lantern is begun, and its indigo is to wait for the lantern's base.
    const wet = [sky[0], { ...sky[1], dryMinutes: 20 }];
    const rules = ['wet-first', 'pale-before-strong', 'behind-first'];
    const { steps, leftOut } = ruledSteps([...lantern, ...wet], both, rules, false);
    expect(leftOut.map(({ ruleId }) => ruleId)).to.deep.equal(['pale-before-strong']);
    expect(leftOut[0].sentence).to.equal(
      '“pale before strong” is left out between lantern and sky: what weighs more wants sky before lantern.',
    );
    expect(waitsFor(steps, 'sky/dark')).to.deep.equal(['sky/base']);
    const otherwise = ruledSteps([...lantern, ...wet], both, [...rules].reverse(), false);
    expect(otherwise.leftOut.map(({ ruleId }) => ruleId)).to.deep.equal(['wet-first']);
  });

  it('do not make whole things wait for each other where each is finished before the next', () => {
    const bell = [step('bell', 'base', 'cream', [], { value: 90, regionIds: [3] })];
    const three = page(['lantern', 'bell', 'sky'], beside(1, 2), beside(2, 3));
    const wet = [sky[0], { ...sky[1], dryMinutes: 20 }];
    const ruled = (whole: boolean) =>
      ruledSteps([...lantern, ...bell, ...wet], three, ['pale-before-strong', 'wet-first'], whole);
    // The sky's dark waits for the lantern's base, and the lantern may not wait for all of the sky.
    for (const whole of [true, false]) {
      const { leftOut, steps } = ruled(whole);
      expect(leftOut.map(({ ruleId }) => ruleId)).to.deep.equal(['wet-first', 'wet-first']);
      expect(waitsFor(steps, 'sky/dark')).to.include('lantern/base').and.to.include('bell/base');
    }
  });

  it('say where a thing’s own layers stand against a rule', () => {
    const shadow = { field: 'shadow' as const, from: 0, to: 0.5, softnessMm: 1, overMm: 4 };
    const steps = [
      step('post', 'base', 'grey'),
      step('post', 'form', 'dark', ['post/base']),
      step('post', 'cast', 'dark', ['post/form'], { zone: shadow }),
    ];
    const [sentence] = ruledSteps(steps, page(['post']), USUAL_RULES, false).leftOut.map((each) => each.sentence);
    expect(sentence).to.contain('“cast shadows first” is left out for post');
    const early = [steps[0], { ...steps[2], after: ['post/base'] }, { ...steps[1], after: ['post/cast'] }];
    expect(ruledSteps(early, page(['post']), USUAL_RULES, false).leftOut).to.deep.equal([]);
  });

  it('never make steps wait for each other, whatever is ranked how, and orders keep to them', async () => {
    const ids = RULES.map(({ id }) => id);
    const borders = fc.array(fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 7 })), {
      maxLength: 12,
    });
    await fc.assert(
      fc.asyncProperty(
        placedPage,
        borders,
        fc.shuffledSubarray(ids),
        fc.integer({ min: 1, max: 4 }),
        async (steps, pairs, rules, openThings) => {
          const names = [...new Set(steps.map(({ thingId }) => thingId))];
          const onPage = page(names, ...pairs.filter(([a, b]) => a !== b).map(([a, b]) => beside(a, b)));
          const ruled = ruledSteps(steps, onPage, rules, openThings === 1);
          const { order, alike, mostOpen, beyondLimit } = await sequence(ruled.steps, { openThings, maxIterations: 2 });
          expect(validateSequence(ruled.steps, order, Math.max(openThings, mostOpen), alike)).to.deep.equal([]);
          // Whole things never wait for each other in a circle, so one at a time is always possible.
          if (openThings === 1) expect(beyondLimit).to.equal(0);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('each have words, and there is none but these', () => {
    for (const { id, says, costs } of RULES) {
      expect(ruleById(id).id).to.equal(id);
      for (const words of [says, costs]) expect(words).to.match(/^[A-Z].*\.$/);
    }
    expect(() => ruleById('by-luck')).to.throw(RangeError, 'no rule called');
  });
});

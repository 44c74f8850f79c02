import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { deltaE2000, labOfHex, oklchOfLab, wheelOfHue } from '../core/colour/index.ts';
import { drawFerrySteps } from './draw/ferry-steps.ts';
import { demoPencils, demoSets, ferryStepsThings, markOf } from './index.ts';

describe('the demo pencils', () => {
  it('have codes that are all different', () => {
    const codes = demoPencils().map((pencil) => pencil.code);
    expect(new Set(codes).size).to.equal(codes.length);
  });

  it('differ within their set by at least 1.5', () => {
    for (const { pencils } of demoSets) {
      for (const [i, [code, , colour]] of pencils.entries()) {
        for (const [other, , otherColour] of pencils.slice(i + 1)) {
          expect(deltaE2000(labOfHex(colour), labOfHex(otherColour)), `${code} and ${other}`).to.be.at.least(1.5);
        }
      }
    }
  });

  it('go all round the wheel in each set, and have their greys', () => {
    for (const { name, pencils } of demoSets) {
      const colours = pencils.map(([, , colour]) => oklchOfLab(labOfHex(colour)));
      const twelfths = new Set(colours.filter(({ c }) => c > 0.04).map(({ h }) => Math.floor(wheelOfHue(h) / 30)));
      expect(twelfths.size, name).to.be.at.least(10);
      expect(colours.filter(({ c }) => c < 0.03).length, name).to.be.at.least(3);
    }
  });
});

describe('The Ferry Steps', () => {
  it('is drawn the same every time, as it lies in the project', () => {
    const page = drawFerrySteps();
    const committed = (name: string) => readFileSync(new URL(`sheets/${name}`, import.meta.url), 'utf8');
    expect(page.toSvg('The Ferry Steps')).to.equal(committed('ferry-steps.svg'));
    expect(page.toKeySvg((thing) => markOf(ferryStepsThings, thing))).to.equal(committed('ferry-steps.key.svg'));
  });

  it('has a mark of its own for every thing', () => {
    const marks = ferryStepsThings.map(({ drawn }) => markOf(ferryStepsThings, drawn));
    expect(new Set(marks).size).to.equal(marks.length);
    expect(marks).to.not.include('#000000');
  });
});

import { expect } from 'chai';
import { NewNote, NewPracticeSeries, NewTrial } from '../../contracts/index.ts';
import { labOfHex } from '../../core/colour/index.ts';
import { ferrySteps } from '../pages/index.ts';
import { demoPencils } from '../pencils/index.ts';
import { EVENINGS, OWN_FAMILIES } from './evenings.ts';
import { demoNotes, demoPractice, demoTrials } from './index.ts';

const byCode = new Map(demoPencils().map((pencil) => [pencil.code, pencil]));
const names = ferrySteps.things.map(({ name }) => name);

describe('what was done on the begun sheet', () => {
  it('is done on things that are drawn there, each on one evening', () => {
    const all = EVENINGS.flatMap(({ things }) => things);
    expect(new Set(all).size).to.equal(all.length);
    for (const name of [...all, ...Object.keys(OWN_FAMILIES)]) expect(names).to.include(name);
  });

  it('is done with pencils that are not missing, the dark one darkest and the light one lightest', () => {
    for (const [name, codes] of Object.entries(OWN_FAMILIES)) {
      const values = codes.map((code) => {
        expect(byCode.get(code)?.whereabouts, code).to.be.oneOf(['here', 'stub']);
        return labOfHex(byCode.get(code)!.colour)[0];
      });
      expect(values, name).to.deep.equal([...values].sort((p, q) => p - q));
    }
  });

  it('is written down as notes that belong to an evening or to the day after', () => {
    for (const note of demoNotes) {
      const at = Date.parse(NewNote.parse(note).at);
      expect(EVENINGS.some(({ begun }) => at >= Date.parse(begun) && at < Date.parse(begun) + 20 * 3_600_000)).to.equal(
        true,
      );
    }
  });

  it('was tried on scrap before, with pencils of the tray', () => {
    for (const trial of demoTrials) {
      const { passes, at } = NewTrial.parse(trial);
      expect(Date.parse(at)).to.be.below(Date.parse(EVENINGS[1].begun));
      for (const { code, colour } of passes) expect(byCode.get(code)!.colour).to.equal(colour);
    }
  });

  it('was practised, better at the end than at the start', () => {
    for (const series of demoPractice) {
      const { attempts } = NewPracticeSeries.parse(series);
      expect(attempts.map(({ at }) => at)).to.deep.equal(attempts.map(({ at }) => at).sort());
      expect(attempts.at(-1)!.score).to.be.above(attempts[0].score + 0.15);
    }
  });
});

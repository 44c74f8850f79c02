import { expect } from 'chai';
import { thingsInWords } from './index.ts';

describe('things in a few words', () => {
  it('are named one by one where they are few, each once', () => {
    expect(thingsInWords(['Bell'])).to.equal('Bell');
    expect(thingsInWords(['Bell', 'Rail', 'Bell'])).to.equal('Bell and Rail');
    expect(thingsInWords(['Bell', 'Rail', 'Sky'])).to.equal('Bell, Rail and Sky');
  });

  it('are counted where they are called the same but for a number, most first', () => {
    const strands = ['Strand', ...[2, 3, 4].map((k) => `Strand (${k})`)];
    expect(thingsInWords(strands)).to.equal('Strand × 4');
    expect(thingsInWords(['Bell', ...strands, 'Pane', 'Pane (2)'])).to.equal('Strand × 4, Pane × 2 and Bell');
    const many = [...strands, 'Pane', 'Pane (2)', 'Bell', 'Rail', 'Sky', 'Sea'];
    expect(thingsInWords(many)).to.equal('Strand × 4, Pane × 2, Bell and 3 others');
  });

  it('are told by what they look like where nobody named them yet', () => {
    const guesses = ['2 strips, middle', 'Strip, middle', '3 strips, top left (2)', 'Bar, top', 'Leaf shape, right'];
    expect(thingsInWords(guesses.slice(0, 2))).to.equal('2 strips, middle and Strip, middle');
    expect(thingsInWords(guesses)).to.equal('Strips, bars and leaf shapes');
    expect(thingsInWords([...guesses, 'Bell'])).to.equal('Strips, bars, leaf shapes and Bell');
  });
});

import { expect } from 'chai';
import type { Pencil, SwatchCard } from '../../../contracts/index.ts';
import { type CardReading } from '../../../core/swatch-card/index.ts';
import { pagesIn, patchWords, readingsToKeep, rowsOf } from './card-rows.ts';

const pencils = Array.from({ length: 24 }, (_, i) => ({ id: `pencil-${i}`, code: `K${i}` }) as Pencil);
const card = (pencilIds: string[], emptyRows = 0) => ({ id: 'card-a', number: 3, pencilIds, emptyRows }) as SwatchCard;
const reading = (row: number, more: Partial<CardReading> = {}) =>
  ({ row, patch: 'medium', on: 'paper', over: null, lab: [50, 1, 2], doubt: null, ...more }) as CardReading;

describe('the rows of a printed swatch card', () => {
  it('run on from page to page', () => {
    const whole = card(pencils.map(({ id }) => id));
    expect(pagesIn([whole, card([], 4)]).map(({ page }) => page)).to.deep.equal([0, 1, 0]);
    expect(rowsOf(whole, 1, pencils, []).map((pencil) => pencil?.code)).to.deep.equal([
      'K18',
      'K19',
      'K20',
      'K21',
      'K22',
      'K23',
    ]);
  });

  it('that were empty take the codes that were written, large or small, and none where no pencil has it', () => {
    const codes = rowsOf(card([], 4), 0, pencils, ['k2', 'K99', 'K1']).map((pencil) => pencil?.code);
    expect(codes).to.deep.equal(['K2', undefined, 'K1', undefined]);
  });

  it('give readings for what stands there: doubtful ones only when chosen, overlays only with both pencils', () => {
    const read = [
      reading(0),
      reading(0, { doubt: 'uneven' }),
      reading(1, { doubt: 'not laid' }),
      reading(0, { over: 1 }),
      reading(1, { over: 2 }),
      reading(2),
    ];
    const kept = readingsToKeep(read, new Set([1]), [pencils[4], pencils[5], undefined], 'white-book', () => 'patch-x');
    expect(kept.map(({ pencilId, over }) => [pencilId, over])).to.deep.equal([
      ['pencil-4', null],
      ['pencil-4', null],
      ['pencil-4', 'pencil-5'],
    ]);
    expect(kept[0]).to.deep.include({ paper: 'white-book', patch: 'medium', ground: 'paper', lab: [50, 1, 2] });
  });

  it('are named as they were laid', () => {
    const codeOf = (row: number) => `K${row}`;
    expect(patchWords(reading(0, { over: 1 }), codeOf)).to.equal('medium with K1 over it');
    expect(patchWords(reading(0, { patch: 'full', on: 'bar' }), codeOf)).to.equal('full over dark');
  });
});

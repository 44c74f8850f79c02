import { expect } from 'chai';
import { codesIn } from './codes-in.ts';

describe('codes that are typed or pasted', () => {
  it('are told apart by spaces, commas, semicolons and lines', () => {
    expect(codesIn(' QS01, QS02;QS03\nQS04\t12 ')).to.deep.equal(['QS01', 'QS02', 'QS03', 'QS04', '12']);
    expect(codesIn('  \n')).to.deep.equal([]);
  });

  it('stand for all between where the first and last are given, with their noughts', () => {
    expect(codesIn('QS08 to QS11')).to.deep.equal(['QS08', 'QS09', 'QS10', 'QS11']);
    expect(codesIn('F-101 to F-136')).to.have.length(36);
    expect(codesIn('1 to 3, 9')).to.deep.equal(['1', '2', '3', '9']);
  });

  it('are left as they stand where they are no such pair', () => {
    expect(codesIn('A1 to B3')).to.deep.equal(['A1', 'to', 'B3']);
    expect(codesIn('A9 to A2')).to.deep.equal(['A9', 'to', 'A2']);
    expect(codesIn('to A2')).to.deep.equal(['to', 'A2']);
  });
});

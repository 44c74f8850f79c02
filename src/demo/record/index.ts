/** record: what has been done on the begun sheet: its palette and order, three evenings, notes, trials and practice. */
export { type BegunBench, beginBench, beginPalette } from './begun.ts';
export { demoNotes, demoPractice, demoTrials } from './evenings.ts';

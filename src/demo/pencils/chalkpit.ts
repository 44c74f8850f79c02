import { type DemoSet } from './demo-set.ts';

/** Pastel pencils, sold by number; the maker named some of them. */
export const chalkpit: DemoSet = {
  idPrefix: 'ch-',
  name: 'Chalkpit',
  type: 'pastel',
  pencils: [
    ['1', 'quarry white', '#f7f5f0', 0.92],
    ['2', '', '#f3e3bd', 0.85],
    ['3', 'lemon dust', '#f2e06a'],
    ['4', 'ochre pit', '#cf9a45'],
    ['5', '', '#e6904a'],
    ['6', 'salmon', '#e9a98d', 0.85],
    ['7', 'red chalk', '#c8433f'],
    ['8', '', '#dc8aa0'],
    ['9', '', '#b04a86'],
    ['10', 'dusk lilac', '#7d5fa8'],
    ['11', '', '#bfb0d8', 0.85],
    ['12', 'deep blue', '#3f55a0'],
    ['13', '', '#8fb6dc'],
    ['14', 'thin sky', '#c4d9ea', 0.88],
    ['15', '', '#4f9fa5'],
    ['16', 'bloom', '#8fc1ac'],
    ['17', '', '#4f8a55'],
    ['18', '', '#a9c07a'],
    ['19', 'pit olive', '#77773f'],
    ['20', 'sand', '#d9c09a', 0.85],
    ['21', '', '#a5673f'],
    ['22', 'burnt soil', '#5f4636'],
    ['23', '', '#a5a4a0'],
    ['24', 'soot', '#262424', 0.9],
  ],
};

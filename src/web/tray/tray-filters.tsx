import type { Pencil } from '../../contracts/index.ts';
import { PAPERS, paperById } from '../../core/laydown/index.ts';
import { matchesWords } from '../desk/pencil-search.ts';
import { SeenBy } from '../desk/seen-by.tsx';
import { Select } from '../parts/index.ts';

const ALL = 'all';

/** Which pencils of a tray are shown. */
export interface Filters {
  /** What is searched for. */
  words: string;
  /** A set, or all. */
  set: string;
  /** Where they are, or anywhere. */
  where: string;
}

export const NO_FILTERS: Filters = { words: '', set: ALL, where: ALL };

/** The pencils that filters let through. */
export function filtered(pencils: readonly Pencil[], { words, set, where }: Filters): Pencil[] {
  return pencils.filter(
    (pencil) =>
      (set === ALL || pencil.set === set) &&
      (where === ALL || pencil.whereabouts === where) &&
      matchesWords(pencil, words),
  );
}

export function isFiltered({ words, set, where }: Filters): boolean {
  return words !== '' || set !== ALL || where !== ALL;
}

const PLACES = [
  { value: ALL, label: 'wherever it is' },
  { value: 'here', label: 'here' },
  { value: 'stub', label: 'worn to a stub' },
  { value: 'missing', label: 'missing' },
  { value: 'ordered', label: 'ordered' },
];

interface Props {
  /** The sets of the tray. */
  sets: readonly string[];
  /** Null where no list is shown that could be filtered. */
  filters: Filters | null;
  onFilters(filters: Filters): void;
  /** Id of the paper; it is chosen here unless a sheet says it. */
  paper: string;
  isOfSheet: boolean;
  onPaper(paper: string): void;
}

/** Search and filters of a tray, its paper and the light that it is seen by. */
export function TrayFilters({ sets, filters, onFilters, paper, isOfSheet, onPaper }: Props) {
  return (
    <div className="grid grid-cols-[minmax(11rem,1.3fr)_1fr_1fr_1fr_1fr] gap-2 pb-3 max-md:grid-cols-2">
      {filters && (
        <>
          <input
            aria-label="Search pencils"
            placeholder="code, name, dull green"
            value={filters.words}
            onChange={(event) => onFilters({ ...filters, words: event.target.value })}
            className="h-10 min-w-0 border border-edge bg-leaf px-3 placeholder:text-soft"
          />
          <Select
            label="Set"
            value={filters.set}
            options={[{ value: ALL, label: 'every set' }, ...sets.map((each) => ({ value: each, label: each }))]}
            onChange={(set) => onFilters({ ...filters, set })}
          />
          <Select
            label="Where it is"
            value={filters.where}
            options={PLACES}
            onChange={(where) => onFilters({ ...filters, where })}
          />
        </>
      )}
      {isOfSheet ? (
        <p className="flex items-center text-[0.95rem] text-soft">on {paperById(paper).name}</p>
      ) : (
        <Select
          label="Paper"
          value={paper}
          options={PAPERS.map(({ id, name }) => ({ value: id, label: `on ${name}` }))}
          onChange={onPaper}
        />
      )}
      <SeenBy />
    </div>
  );
}

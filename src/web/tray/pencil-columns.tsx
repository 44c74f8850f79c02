import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
} from '@tanstack/react-table';
import type { Pencil, PencilEdit } from '../../contracts/index.ts';
import { labOfHex, oklchOfLab, wheelOfHue, wordsFor } from '../../core/colour/index.ts';
import { pencilTypeById } from '../../core/laydown/index.ts';
import { type PaperModel } from '../../pencils/index.ts';
import { BeliefMark, Laydown, Select } from '../parts/index.ts';
import { coverWords, hardnessWords } from './pencil-words.ts';

export const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
});
const column = createColumnHelper<typeof features, Pencil>();

const WHEREABOUTS = [
  { value: 'here', label: 'here' },
  { value: 'stub', label: 'a stub' },
  { value: 'missing', label: 'missing' },
  { value: 'ordered', label: 'ordered' },
] as const;

/** What a table of pencils tells of each, and what it is sorted by. */
export function pencilColumns(
  paperModel: PaperModel | null,
  onLook: (pencil: Pencil) => void,
  onEdit: (pencil: Pencil, edit: PencilEdit) => void,
) {
  return column.columns([
    column.display({
      id: 'laydown',
      header: 'Laydown',
      cell: ({ row }) => <Laydown pencil={row.original} paperModel={paperModel} width={116} height={34} />,
    }),
    column.accessor('code', {
      header: 'Code',
      sortFn: 'alphanumeric',
      cell: ({ row: { original } }) => (
        <button
          type="button"
          aria-label={`Look at ${original.code}`}
          className="min-h-9 font-figure font-bold underline decoration-rule underline-offset-4"
          onClick={() => onLook(original)}
        >
          {original.code}
        </button>
      ),
    }),
    column.accessor((pencil) => pencil.ownName || pencil.name, {
      id: 'name',
      header: 'Name',
      sortFn: 'alphanumeric',
    }),
    column.accessor('set', { header: 'Set', sortFn: 'alphanumeric' }),
    column.accessor((pencil) => wheelOfHue(oklchOfLab(labOfHex(pencil.colour)).h), {
      id: 'hue',
      header: 'Colour',
      sortFn: 'basic',
      cell: ({ row }) => wordsFor(labOfHex(row.original.colour)),
    }),
    column.accessor((pencil) => Math.round(labOfHex(pencil.colour)[0]), {
      id: 'value',
      header: 'L*',
      sortFn: 'basic',
    }),
    column.accessor('type', {
      header: 'Type',
      sortFn: 'alphanumeric',
      cell: ({ getValue }) => <span title={pencilTypeById(getValue()).name}>{getValue()}</span>,
    }),
    column.accessor((pencil) => pencil.opacity ?? pencilTypeById(pencil.type).opacity, {
      id: 'covers',
      header: 'Covers',
      sortFn: 'basic',
      cell: ({ getValue }) => coverWords(getValue()),
    }),
    column.accessor((pencil) => pencil.hardness ?? -1, {
      id: 'core',
      header: 'Core',
      sortFn: 'basic',
      cell: ({ row }) => hardnessWords(row.original.hardness),
    }),
    column.accessor((pencil) => paperModel?.beliefIn(pencil).apart ?? 0, {
      id: 'sure',
      header: 'Sure',
      sortFn: 'basic',
      cell: ({ row }) =>
        paperModel && (
          <span className="flex items-center gap-1 font-figure whitespace-nowrap">
            <BeliefMark belief={paperModel.beliefIn(row.original)} /> ±
            {paperModel.beliefIn(row.original).apart.toFixed(1)}
          </span>
        ),
    }),
    column.accessor((pencil) => pencil.leadMm ?? -1, {
      id: 'lead',
      header: 'Lead',
      sortFn: 'basic',
      cell: ({ row }) => (row.original.leadMm === null ? '' : `${row.original.leadMm}\u00a0mm`),
    }),
    column.accessor('whereabouts', {
      header: 'Where',
      sortFn: 'alphanumeric',
      cell: ({ row: { original } }) => (
        <Select
          label={`Where ${original.code} is`}
          value={original.whereabouts}
          className="w-26!"
          options={WHEREABOUTS}
          onChange={(whereabouts) => onEdit(original, { whereabouts })}
        />
      ),
    }),
  ]);
}

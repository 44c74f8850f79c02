import { toast } from 'sonner';
import type { Pencil, Whereabouts } from '../../contracts/index.ts';
import { useEditPencilsMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Select } from '../parts/index.ts';

const PLACES: readonly { value: Whereabouts; label: string }[] = [
  { value: 'here', label: 'are here' },
  { value: 'stub', label: 'are worn to stubs' },
  { value: 'missing', label: 'are missing' },
  { value: 'ordered', label: 'are ordered' },
];

/** One change to all pencils that the search and filters show, and a way to take it back. */
export function EditShownPencils({ trayId, pencils }: { trayId: string; pencils: readonly Pencil[] }) {
  const [edit] = useEditPencilsMutation();
  const set = async (ids: readonly string[], whereabouts: Whereabouts): Promise<boolean> => {
    if (ids.length === 0) return true;
    const { error } = await edit({ trayId, pencilIds: [...ids], edit: { whereabouts } });
    if (error) toast.error(sentenceOf(error));
    return !error;
  };
  const mark = async (whereabouts: Whereabouts) => {
    const before = pencils.map(({ id, whereabouts: was }) => ({ id, was }));
    const ids = before.map(({ id }) => id);
    if (!(await set(ids, whereabouts))) return;
    const takeBack = async () => {
      for (const { value } of PLACES) {
        const some = before.filter(({ was }) => was === value).map(({ id }) => id);
        if (!(await set(some, value))) return;
      }
    };
    toast(`${ids.length} pencils are marked.`, { action: { label: 'Take it back', onClick: () => void takeBack() } });
  };
  return (
    <div className="flex items-center gap-2">
      <span>These {pencils.length}</span>
      <Select<Whereabouts | 'choose'>
        label="All of these"
        value="choose"
        className="w-52!"
        options={[{ value: 'choose', label: 'mark all at once' }, ...PLACES]}
        onChange={(place) => {
          if (place !== 'choose') void mark(place);
        }}
      />
    </div>
  );
}

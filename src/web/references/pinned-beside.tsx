import { useReferencesQuery } from '../api/desk-api.ts';
import { PinnedPicture } from './pinned-picture.tsx';

/** The pictures that belong to a thing, and after them those of the whole sheet, to look at only; nothing where none are. */
export function PinnedBeside({ sheetId, thingId }: { sheetId: string; thingId: string | null }) {
  const { data: references = [] } = useReferencesQuery(sheetId);
  const shown = [
    ...references.filter((reference) => thingId && reference.thingId === thingId),
    ...references.filter((reference) => reference.thingId === null),
  ];
  if (shown.length === 0) return null;
  return (
    <div className="flex gap-2 overflow-x-auto py-2" role="group" aria-label="Pinned pictures" tabIndex={0}>
      {shown.map((reference) => (
        <PinnedPicture key={reference.id} sheetId={sheetId} reference={reference} />
      ))}
    </div>
  );
}

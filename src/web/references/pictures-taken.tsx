import type { Reference, Thing } from '../../contracts/index.ts';
import { PinnedPicture } from './pinned-picture.tsx';

interface Props {
  sheetId: string;
  pictures: readonly Reference[];
  things: readonly Thing[];
}

/** Pictures that were taken during a sitting, each with what it shows; nothing where none were. */
export function PicturesTaken({ sheetId, pictures, things }: Props) {
  if (pictures.length === 0) return null;
  return (
    <ul className="my-2 flex flex-wrap gap-3" aria-label="Pictures taken">
      {pictures.map((picture) => (
        <li key={picture.id}>
          <PinnedPicture sheetId={sheetId} reference={picture} />
          <span className="block text-sm text-soft">
            {things.find(({ id }) => id === picture.thingId)?.name ?? 'the page'}
          </span>
        </li>
      ))}
    </ul>
  );
}

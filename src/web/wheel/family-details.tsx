import { type Thing, isHere } from '../../contracts/index.ts';
import { type Lab } from '../../core/colour/index.ts';
import { type PageSummary } from '../../core/palette/index.ts';
import { familyOf, pencilsFor } from '../../core/recipe/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { FamilyMoves } from './family-moves.tsx';
import { FamilyPassage } from './family-passage.tsx';
import { FamilyPencils } from './family-pencils.tsx';
import { PencilPick } from './pencil-pick.tsx';
import { useFamily, useSetFamily } from './use-family.ts';

/** A thing's family: its passage as it will come out, what could take each place and what that would do, and its extras. */
export function FamilyDetails({
  thing,
  summary,
  colours,
}: {
  thing: Thing;
  summary: PageSummary | null;
  colours: ReadonlyMap<string, Lab>;
}) {
  const { pencils, pencilById } = useDesk();
  const known = useFamily(thing, summary, colours);
  const set = useSetFamily(thing);
  const { family } = thing;
  if (!family) {
    return (
      <div className="grid gap-1.5 px-2 pb-3">
        <PencilPick
          label={`First pencil of ${thing.name}`}
          value=""
          options={pencils.filter(isHere).map((pencil) => ({ pencil, says: '' }))}
          onChange={(id) => set(`begin with ${pencilById.get(id)?.code ?? ''}`, familyOf([id]))}
        />
      </div>
    );
  }
  const holds = pencilsFor(summary?.things.find(({ id }) => id === thing.id)?.widthMm ?? 0);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2 px-2 pb-3">
      <FamilyPassage thing={thing} facts={known?.facts} />
      <FamilyPencils thing={thing} family={family} known={known} set={set} />
      <FamilyMoves thing={thing} family={family} known={known} set={set} />
      {family.pencils.length > holds && (
        <p className="text-[0.92rem] text-soft">
          Its regions hold {holds === 1 ? 'one pencil' : `${holds} pencils`}; the rest find no band of their own.
        </p>
      )}
    </div>
  );
}

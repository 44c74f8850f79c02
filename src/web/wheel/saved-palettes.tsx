import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import { type NewPalette, type SavedPalette, isHere } from '../../contracts/index.ts';
import { hexOfLab } from '../../core/colour/index.ts';
import { pencilsOf } from '../../core/recipe/index.ts';
import { PALETTE_FORMATS, acceptedBy, fileOf, readPalette } from '../../formats/index.ts';
import { decide, familiesOf, thingsOf } from '../../plan/index.ts';
import { useKeepPaletteMutation, usePalettesQuery, usePutPaletteAwayMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, ChooseFile, KeepByName, Section } from '../parts/index.ts';
import { saveText } from '../parts/save-file.ts';
import { foundAgain } from './found-again.ts';

const ONE_OF = new Intl.ListFormat('en-GB', { type: 'disjunction' });

/** Palettes that are kept by name: to be used on another sheet, taken away as a file, or brought in from one. */
export function SavedPalettes() {
  const { sheet, pencils, pencilById, laid } = useDesk();
  const { data: palettes } = usePalettesQuery();
  const [keep] = useKeepPaletteMutation();
  const [putAway] = usePutPaletteAwayMutation();
  const change = usePlanChange(sheet.id, 'wheel');
  const { wheel, wishes } = sheet.plan;
  const families = familiesOf(sheet.plan);
  const things = thingsOf(sheet.plan);
  const store = async (palette: NewPalette) => {
    const { error } = await keep(palette);
    if (error) toast.error(sentenceOf(error));
    return !error;
  };
  const keepOwn = (name: string) => {
    const used = [...new Set(Object.values(families).flatMap(pencilsOf))].flatMap((id) => pencilById.get(id) ?? []);
    return store({
      id: nanoid(),
      name,
      wheel,
      pencils: used.map((pencil) => ({
        id: pencil.id,
        code: pencil.code,
        set: pencil.set,
        name: pencil.ownName || pencil.name,
        colour: laid.has(pencil.id) ? hexOfLab(laid.get(pencil.id)!.body) : pencil.colour,
      })),
      families: things.flatMap(({ id, name: thing }) => {
        const codes = families[id]?.pencils.flatMap((pencil) => pencilById.get(pencil)?.code ?? []) ?? [];
        return codes.length > 0 ? [{ thing, codes }] : [];
      }),
    });
  };
  const use = (palette: SavedPalette) => {
    const bodies = new Map(
      pencils.filter(isHere).flatMap(({ id }) => (laid.has(id) ? [[id, laid.get(id)!.body]] : [])),
    );
    const { ids, lost } = foundAgain(palette, bodies);
    if (ids.length === 0) return void toast.error(`Nothing in this tray comes near the pencils of “${palette.name}”.`);
    if (lost.length > 0) toast(`Nothing here serves for ${lost.join(', ')} of “${palette.name}”.`);
    void change(`only pencils of “${palette.name}”`, (plan) =>
      decide(plan, { wheel: palette.wheel ?? wheel, wishes: { ...wishes, only: ids } }),
    );
  };
  const bringIn = async (file: File) => {
    try {
      await store({ id: nanoid(), ...readPalette(await file.text(), file.name) });
    } catch (fault) {
      toast.error(fault instanceof RangeError ? fault.message : 'This file cannot be read.');
    }
  };
  const away = async (palette: SavedPalette) => {
    const { error } = await putAway(palette.id);
    if (error) return void toast.error(sentenceOf(error));
    const { at: _, ...content } = palette;
    toast(`“${palette.name}” is put away.`, { action: { label: 'Bring it back', onClick: () => void store(content) } });
  };
  return (
    <Section title="Kept palettes">
      {Object.keys(families).length > 0 && <KeepByName label="Name of this page’s palette" onKeep={keepOwn} />}
      {palettes?.length === 0 && (
        <p className="mt-1.5 text-[0.95rem] text-soft">
          None yet. A palette that is kept can be used on another sheet and taken along as a file.
        </p>
      )}
      <ul className="mt-2 grid gap-2" aria-label="Kept palettes">
        {(palettes ?? []).map((palette) => (
          <li key={palette.id} className="bg-leaf p-2">
            <p className="flex items-baseline justify-between gap-2">
              <span className="min-w-0 truncate font-semibold">{palette.name}</span>
              <span className="shrink-0 text-sm text-soft">{palette.pencils.length} pencils</span>
            </p>
            <div className="my-1 flex h-5 bg-ground p-0.5" aria-hidden>
              {palette.pencils.map(({ code, colour }, i) => (
                <span key={`${code} ${i}`} className="flex-1" style={{ background: colour }} />
              ))}
            </div>
            <div className="flex flex-wrap items-center gap-x-3">
              <Button look="bare" className="px-0!" onClick={() => use(palette)} aria-label={`Use ${palette.name}`}>
                Use here
              </Button>
              {PALETTE_FORMATS.map((format) => (
                <Button
                  key={format.id}
                  look="bare"
                  className="px-0! font-normal"
                  title={`Holds ${format.holds}.`}
                  aria-label={`${palette.name} as ${format.id}`}
                  onClick={() => saveText(fileOf(palette.name, palette, format))}
                >
                  {format.id}
                </Button>
              ))}
              <Button
                look="bare"
                className="ml-auto px-0! font-normal"
                onClick={() => void away(palette)}
                aria-label={`Put ${palette.name} away`}
              >
                put away
              </Button>
            </div>
          </li>
        ))}
      </ul>
      <div className="mt-2">
        <ChooseFile
          label={`Bring a palette in: ${ONE_OF.format(PALETTE_FORMATS.map(({ id }) => id))}`}
          accept={acceptedBy(PALETTE_FORMATS)}
          onFile={(file) => void bringIn(file)}
        />
      </div>
    </Section>
  );
}

import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import type { NewRecipeCard, RecipeCard, Thing } from '../../contracts/index.ts';
import { type Card, type Recipe, cardOf, compileRecipe, editsFromCard, effectById } from '../../core/recipe/index.ts';
import { RecipeContexts, formedThings, regionsOfThings } from '../../plan/derive/index.ts';
import { useKeepRecipeCardMutation, usePutRecipeCardAwayMutation, useRecipeCardsQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, ChooseFile, KeepByName, Section } from '../parts/index.ts';
import { RECIPE_FORMATS, fileOf, readRecipe } from '../../formats/index.ts';
import { saveText } from '../parts/save-file.ts';
import { type AboutThing, decideThing, thingsOf } from '../../plan/index.ts';

/** Recipes that are kept as cards: laid on this thing or on all like it, scaled to their widths, taken along as files. */
export function RecipeCards({ thing, recipe }: { thing: Thing; recipe: Recipe }) {
  const { data: cards } = useRecipeCardsQuery();
  const [keep] = useKeepRecipeCardMutation();
  const [putAway] = usePutRecipeCardAwayMutation();
  const { give, like } = useGiving(thing);
  // What has a recipe has a family.
  const own = (): Card => cardOf(recipe, thing.family!, thing.edits ?? {});
  const store = async (card: NewRecipeCard) => {
    const { error } = await keep(card);
    if (error) toast.error(sentenceOf(error));
    return !error;
  };
  const bringIn = async (file: File) => {
    try {
      await store({ id: nanoid(), ...readRecipe(await file.text()) });
    } catch (fault) {
      toast.error(fault instanceof RangeError ? fault.message : 'This file cannot be read.');
    }
  };
  const away = async (card: RecipeCard) => {
    const { error } = await putAway(card.id);
    if (error) return void toast.error(sentenceOf(error));
    const { at: _, ...content } = card;
    toast(`“${card.name}” is put away.`, { action: { label: 'Bring it back', onClick: () => void store(content) } });
  };
  return (
    <Section title="Recipe cards">
      {like.length > 0 && (
        <Button className="mb-2" onClick={() => give(own(), like, `the layers of ${thing.name}`)}>
          Lay {like.length === 1 ? like[0]!.name : `${like.length} like things`} the same way
        </Button>
      )}
      <KeepByName label="Name of this recipe" onKeep={(name) => store({ id: nanoid(), name, card: own() })} />
      {cards?.length === 0 && (
        <p className="mt-1.5 text-[0.95rem] text-soft">
          None yet. A card holds the effect and every change that you made, and fits itself to other widths and
          families.
        </p>
      )}
      <ul className="mt-2 grid gap-2" aria-label="Recipe cards">
        {(cards ?? []).map((card) => (
          <li key={card.id} className="bg-leaf p-2">
            <p className="flex items-baseline justify-between gap-2">
              <span className="min-w-0 truncate font-semibold">{card.name}</span>
              <span className="shrink-0 text-sm text-soft">{effectName(card.card.effect)}</span>
            </p>
            <div className="flex flex-wrap items-center gap-x-3">
              <Button
                look="bare"
                className="px-0!"
                aria-label={`Lay ${thing.name} by ${card.name}`}
                onClick={() => give(card.card, [thing], card.name)}
              >
                Lay {thing.name} so
              </Button>
              <Button
                look="bare"
                className="px-0! font-normal"
                aria-label={`${card.name} as JSON`}
                onClick={() => saveText(fileOf(card.name, card, RECIPE_FORMATS[0]))}
              >
                JSON
              </Button>
              <Button
                look="bare"
                className="ml-auto px-0! font-normal"
                aria-label={`Put ${card.name} away`}
                onClick={() => void away(card)}
              >
                put away
              </Button>
            </div>
          </li>
        ))}
      </ul>
      <div className="mt-2">
        <ChooseFile
          label="Bring a recipe in: JSON"
          accept=".json,application/json"
          onFile={(file) => void bringIn(file)}
        />
      </div>
    </Section>
  );
}

function effectName(id: string): string {
  try {
    return effectById(id).name;
  } catch {
    return 'an effect that is not known here';
  }
}

/** Lays things by a card, and says which things are like this one: of the same material and with a family. */
function useGiving(thing: Thing) {
  const { sheet, page, pencilById, paperModel } = useDesk();
  const { plan } = sheet;
  const change = usePlanChange(sheet.id, 'layers');
  const like = thingsOf(plan).filter(
    ({ id, material, name, family }) =>
      id !== thing.id &&
      family !== null &&
      (material !== null ? material === thing.material : withoutNumber(name) === withoutNumber(thing.name)),
  );
  const give = (card: Card, things: readonly Thing[], name: string) => {
    if (!page) return;
    const regions = regionsOfThings(plan, page.regions);
    const contexts = new RecipeContexts(plan, regions, formedThings(plan, page), pencilById, paperModel);
    const lost: string[] = [];
    const laid: Record<string, AboutThing> = {};
    try {
      for (const { id, family } of things) {
        if (!family || (regions.get(id) ?? []).length === 0) continue;
        const recipe = compileRecipe(card.effect, card.school, family, contexts.forThing(id));
        const fitted = editsFromCard(card, recipe, family, (pencil) => pencilById.has(pencil));
        lost.push(...fitted.lost);
        laid[id] = { edits: fitted.edits, effect: card.effect, school: card.school };
      }
    } catch (fault) {
      return void toast.error(fault instanceof RangeError ? fault.message : 'This card cannot be laid here.');
    }
    for (const sentence of new Set(lost)) toast(sentence);
    const words = things.length === 1 ? things[0]!.name : `${things.length} things`;
    void change(`${words} by “${name}”`.slice(0, 118), (draft) => {
      for (const [id, about] of Object.entries(laid)) decideThing(draft, id, about);
    });
  };
  return { give, like };
}

function withoutNumber(name: string): string {
  return name.replace(/\s*\d+$/, '').toLowerCase();
}

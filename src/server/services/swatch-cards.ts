import { and, asc, eq, max } from 'drizzle-orm';
import type { NewCard, SwatchCard } from '../../contracts/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { swatchCards } from '../db/schema.ts';
import { Refused, refuseMissing } from '../refused.ts';
import { cardPdf } from './card-pdf.ts';
import { knownPaper } from './swatches.ts';
import { listPencils } from './trays.ts';

/** So many cards can be told apart by what is printed on them; then numbers begin again. */
const NUMBERS = 1024;

/** Every card printed for a tray, the oldest first. */
export async function listCards(db: Querying, trayId: string): Promise<SwatchCard[]> {
  const rows = await db
    .select()
    .from(swatchCards)
    .where(eq(swatchCards.trayId, trayId))
    .orderBy(asc(swatchCards.at), asc(swatchCards.id));
  return rows.map(({ at, ...card }) => ({ ...card, at: at.toISOString() }));
}

/** Keeps a card that is to be printed, with a number that no card of this desk has. The same card sent twice stands once. */
export async function addCard(db: Database, trayId: string, card: NewCard): Promise<SwatchCard[]> {
  return db.transaction(async (tx) => {
    knownPaper(card.paper);
    const own = new Set((await listPencils(tx, trayId)).map(({ id }) => id));
    if (card.pencilIds.some((id) => !own.has(id))) {
      throw new Refused(422, 'One of these pencils is not in this tray.');
    }
    const [numbered] = await tx.select({ last: max(swatchCards.number) }).from(swatchCards);
    const number = ((numbered?.last ?? 0) + 1) % NUMBERS;
    await tx
      .insert(swatchCards)
      .values({ ...card, trayId, number, origin: 'own' })
      .onConflictDoNothing();
    return listCards(tx, trayId);
  });
}

/** A card as a PDF to print at its real size. */
export async function printedCard(
  db: Querying,
  trayId: string,
  cardId: string,
): Promise<{ fileName: string; bytes: Uint8Array }> {
  const [card] = await db
    .select()
    .from(swatchCards)
    .where(and(eq(swatchCards.id, cardId), eq(swatchCards.trayId, trayId)));
  refuseMissing(card, 'This card is not kept here.');
  const byId = new Map((await listPencils(db, trayId)).map((pencil) => [pencil.id, pencil]));
  const rows = [
    ...card.pencilIds.map((id) => {
      const pencil = byId.get(id);
      return { code: pencil?.code ?? '', name: pencil?.ownName || pencil?.name || '' };
    }),
    ...Array.from({ length: card.emptyRows }, () => null),
  ];
  const bytes = await cardPdf(card.number, paperById(card.paper).name, rows);
  return { fileName: `swatch card ${card.number}.pdf`, bytes };
}

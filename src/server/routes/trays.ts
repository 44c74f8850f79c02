import { Router } from 'express';
import {
  AddPencils,
  AddReadings,
  CopyPencils,
  NewCard,
  NewSwatch,
  NewTrayFit,
  NewTrialPatch,
  PencilEdit,
  PencilEdits,
} from '../../contracts/index.ts';
import { type Database } from '../db/open-database.ts';
import {
  addPencils,
  addReadings,
  addSwatch,
  listFits,
  listReadOn,
  listSwatches,
  listSwatchesOn,
  listTools,
  storeFit,
} from '../services/swatches.ts';
import { addCard, listCards, printedCard } from '../services/swatch-cards.ts';
import { keepTrial, listTrials, putTrialAway } from '../services/trial-patches.ts';
import { listWear } from '../services/wear.ts';
import { copyPencils, editPencil, editPencils, listPencils, listTrays } from '../services/trays.ts';
import { bodyOf, json } from './handle.ts';

type OfTray = { id: string };

/** Trays, the pencils and tools in them, and the swatches of each pencil. */
export function trayRoutes(db: Database): Router {
  const router = Router();
  router.get(
    '/',
    json(() => listTrays(db)),
  );
  router.get(
    '/:id/pencils',
    json<OfTray>((request) => listPencils(db, request.params.id)),
  );
  router.post(
    '/:id/pencils',
    json<OfTray>((request) => addPencils(db, request.params.id, bodyOf(AddPencils, request))),
  );
  router.post(
    '/:id/copies',
    json<OfTray>((request) => copyPencils(db, request.params.id, bodyOf(CopyPencils, request).pencilIds)),
  );
  router.patch(
    '/:id/pencils',
    json<OfTray>(({ params, body }) => editPencils(db, params.id, PencilEdits.parse(body))),
  );
  router.patch(
    '/:id/pencils/:pencilId',
    json<OfTray & { pencilId: string }>(({ params, body }) =>
      editPencil(db, params.id, params.pencilId, PencilEdit.parse(body)),
    ),
  );
  router.get(
    '/:id/tools',
    json<OfTray>((request) => listTools(db, request.params.id)),
  );
  router.post(
    '/:id/swatches',
    json<OfTray>(({ params, body }) => addReadings(db, params.id, AddReadings.parse(body))),
  );
  router.get(
    '/:id/cards',
    json<OfTray>(({ params }) => listCards(db, params.id)),
  );
  router.post(
    '/:id/cards',
    json<OfTray>(({ params, body }) => addCard(db, params.id, NewCard.parse(body))),
  );
  router.get('/:id/cards/:cardId/print', async ({ params }, response) => {
    const { fileName, bytes } = await printedCard(db, params.id, params.cardId);
    response.attachment(fileName).type('application/pdf').send(Buffer.from(bytes));
  });
  router.get(
    '/:id/wear',
    json<OfTray>(({ params }) => listWear(db, params.id)),
  );
  router.get(
    '/:id/trials',
    json<OfTray>(({ params }) => listTrials(db, params.id)),
  );
  router.put(
    '/:id/trials',
    json<OfTray>(({ params, body }) => keepTrial(db, params.id, NewTrialPatch.parse(body))),
  );
  router.delete(
    '/:id/trials/:trialId',
    json<OfTray & { trialId: string }>(({ params }) => putTrialAway(db, params.id, params.trialId)),
  );
  router.get(
    '/:id/swatches/:paper',
    json<OfTray & { paper: string }>(({ params }) => listSwatchesOn(db, params.id, params.paper)),
  );
  router.get(
    '/:id/read-on',
    json<OfTray>(({ params }) => listReadOn(db, params.id)),
  );
  router.get(
    '/:id/fits',
    json<OfTray>(({ params }) => listFits(db, params.id)),
  );
  router.put(
    '/:id/fits/:paper',
    json<OfTray & { paper: string }>(({ params, body }) =>
      storeFit(db, params.id, params.paper, NewTrayFit.parse(body)),
    ),
  );
  router.get(
    '/:id/pencils/:pencilId/swatches',
    json<OfTray & { pencilId: string }>(({ params }) => listSwatches(db, params.id, params.pencilId)),
  );
  router.post(
    '/:id/pencils/:pencilId/swatches',
    json<OfTray & { pencilId: string }>(({ params, body }) =>
      addSwatch(db, params.id, params.pencilId, NewSwatch.parse(body)),
    ),
  );
  return router;
}

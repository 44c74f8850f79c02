import { Router } from 'express';
import multer from 'multer';
import { z } from 'zod';
import { Command, Id, LogEntry, Name, NewBenchPlan, RegionsMeta, SheetEdit } from '../../contracts/index.ts';
import { readBlob } from '../db/blobs.ts';
import { type Database } from '../db/open-database.ts';
import { Refused } from '../refused.ts';
import { benchState, logStep, readRecord, storeBenchPlan } from '../services/bench.ts';
import { nameFromKey } from '../services/page-key.ts';
import { readLabels, readRegions, storeRegions } from '../services/regions.ts';
import { applyCommand, createSheet, editSheet, listSheets, redo, sheetState, undo } from '../services/sheets.ts';
import { bodyOf, json } from './handle.ts';

const MB = 1024 * 1024;
const upload = multer({
  storage: multer.memoryStorage(),
  limits: { fileSize: 60 * MB, files: 1, fieldSize: 20 * MB, fields: 4 },
});
const NewSheet = z.object({ id: Id, title: Name });
const Against = z.object({ baseRevision: z.int().min(0) });
const ByKey = Against.extend({ id: Id });

/** Everything about sheets: the shelf, the plan with its undo, regions, the bench and the record. */
export function sheetRoutes(db: Database): Router {
  const router = Router();
  router.get(
    '/',
    json(() => listSheets(db)),
  );
  router.post(
    '/',
    upload.single('file'),
    json(async (request) => {
      const { id, title } = bodyOf(NewSheet, request);
      if (!request.file?.buffer.length) throw new Refused(422, 'No file arrived. Choose a picture of a page.');
      return createSheet(db, id, title, request.file.buffer);
    }),
  );
  router.get(
    '/:id',
    json((request) => sheetState(db, request.params.id)),
  );
  router.patch(
    '/:id',
    json((request) => editSheet(db, request.params.id, bodyOf(SheetEdit, request))),
  );
  router.post(
    '/:id/commands',
    json((request) => applyCommand(db, request.params.id, bodyOf(Command, request))),
  );
  router.post(
    '/:id/undo',
    json((request) => undo(db, request.params.id, bodyOf(Against, request).baseRevision)),
  );
  router.post(
    '/:id/redo',
    json((request) => redo(db, request.params.id, bodyOf(Against, request).baseRevision)),
  );
  router.post(
    '/:id/name-from-key',
    json((request) => {
      const { id, baseRevision } = bodyOf(ByKey, request);
      return nameFromKey(db, request.params.id, id, baseRevision);
    }),
  );
  router.get('/:id/picture/:hash', async (request, response) => {
    const { picture } = await sheetState(db, request.params.id);
    if (picture.hash !== request.params.hash) throw new Refused(404, 'This picture is not on the desk.');
    const { mime, bytes } = await readBlob(db, picture.hash);
    response.type(mime).set('Cache-Control', 'private, max-age=31536000, immutable').send(Buffer.from(bytes));
  });
  router.get(
    '/:id/regions',
    json((request) => readRegions(db, request.params.id)),
  );
  router.get('/:id/labels', async (request, response) => {
    response.type('application/octet-stream').send(Buffer.from(await readLabels(db, request.params.id)));
  });
  router.put(
    '/:id/regions',
    upload.single('labels'),
    json(async (request) => {
      if (!request.file) throw new Refused(422, 'The raster of regions did not arrive.');
      return storeRegions(db, request.params.id, metaOf(request.body.meta), request.file.buffer);
    }),
  );
  router.get(
    '/:id/bench',
    json((request) => benchState(db, request.params.id)),
  );
  router.post(
    '/:id/bench',
    json((request) => storeBenchPlan(db, request.params.id, bodyOf(NewBenchPlan, request))),
  );
  router.post(
    '/:id/log',
    json((request) => logStep(db, request.params.id, bodyOf(LogEntry, request))),
  );
  router.get(
    '/:id/record',
    json((request) => readRecord(db, request.params.id)),
  );
  return router;
}

function metaOf(text: unknown): RegionsMeta {
  try {
    return RegionsMeta.parse(JSON.parse(String(text)));
  } catch (error) {
    if (error instanceof SyntaxError) throw new Refused(422, 'The list of regions cannot be read.');
    throw error;
  }
}

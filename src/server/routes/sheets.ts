import { Router } from 'express';
import multer from 'multer';
import { z } from 'zod';
import { Command, Id, Millimetres, Name, SheetEdit } from '../../contracts/index.ts';
import { readBlob } from '../db/blobs.ts';
import { type Database } from '../db/open-database.ts';
import { Refused } from '../refused.ts';
import { exportSheet } from '../services/export-sheet.ts';
import { nameFromKey } from '../services/page-key.ts';
import { readPackedIndex, readRegions, storeRegions } from '../services/regions.ts';
import {
  applyCommand,
  copySheet,
  createSheet,
  editSheet,
  listSheets,
  redo,
  sheetState,
  undo,
} from '../services/sheets.ts';
import { benchRoutes } from './bench.ts';
import { type OfSheet, bodyOf, json } from './handle.ts';
import { referenceRoutes } from './references.ts';

const MB = 1024 * 1024;
const upload = multer({
  storage: multer.memoryStorage(),
  limits: { fileSize: 60 * MB, files: 2, fieldSize: 20 * MB, fields: 6 },
});
const Sent = z.preprocess((text) => (text === undefined ? undefined : Number(text)), Millimetres.optional());
const NewSheet = z.object({ id: Id, title: Name, widthMm: Sent, heightMm: Sent });
const From = z.string().max(200).optional();
const Copy = z.object({ id: Id, title: Name });
const Against = z.object({ baseRevision: z.int().min(0) });
const ByKey = z.object({ id: Id });

/** Everything about sheets: the shelf, the plan with its undo, regions, what is pinned, and the bench. */
export function sheetRoutes(db: Database): Router {
  const router = Router();
  router.get(
    '/',
    json(() => listSheets(db)),
  );
  router.post(
    '/',
    upload.fields([
      { name: 'file', maxCount: 1 },
      { name: 'original', maxCount: 1 },
    ]),
    json(async (request) => {
      const { id, title, widthMm, heightMm } = bodyOf(NewSheet, request);
      const files = request.files as Partial<Record<'file' | 'original', Express.Multer.File[]>>;
      const [file, original] = [files.file?.[0]?.buffer, files.original?.[0]?.buffer];
      if (!file?.length) throw new Refused(422, 'No file arrived. Choose a picture of a page.');
      const size = widthMm && heightMm ? { widthMm, heightMm } : undefined;
      return createSheet(db, id, title, file, { size, original });
    }),
  );
  router.get(
    '/:id',
    json<OfSheet>((request) => sheetState(db, request.params.id)),
  );
  router.patch(
    '/:id',
    json<OfSheet>((request) => editSheet(db, request.params.id, bodyOf(SheetEdit, request))),
  );
  router.post(
    '/:id/copies',
    json<OfSheet>((request) => {
      const { id, title } = bodyOf(Copy, request);
      return copySheet(db, request.params.id, id, title);
    }),
  );
  router.post(
    '/:id/commands',
    json<OfSheet>((request) => applyCommand(db, request.params.id, bodyOf(Command, request))),
  );
  router.post(
    '/:id/undo',
    json<OfSheet>((request) => undo(db, request.params.id, bodyOf(Against, request).baseRevision)),
  );
  router.post(
    '/:id/redo',
    json<OfSheet>((request) => redo(db, request.params.id, bodyOf(Against, request).baseRevision)),
  );
  router.post(
    '/:id/name-from-key',
    json<OfSheet>((request) => {
      return nameFromKey(db, request.params.id, bodyOf(ByKey, request).id);
    }),
  );
  router.get('/:id/picture/:hash', async (request, response) => {
    const { picture } = await sheetState(db, request.params.id);
    if (picture.hash !== request.params.hash) throw new Refused(404, 'This picture is not on the desk.');
    const { mime, bytes } = await readBlob(db, picture.hash);
    response.type(mime).set('Cache-Control', 'private, max-age=31536000, immutable').send(Buffer.from(bytes));
  });
  router.use('/:id/references', referenceRoutes(db));
  router.get('/:id/export', async (request, response) => {
    const { fileName, bytes } = await exportSheet(db, request.params.id);
    response.attachment(fileName).type('application/zip').send(Buffer.from(bytes));
  });
  router.get('/:id/colours/:hash', async (request, response) => {
    const { coloursHash } = await sheetState(db, request.params.id);
    if (!coloursHash || coloursHash !== request.params.hash) throw new Refused(404, 'This picture is not on the desk.');
    const { mime, bytes } = await readBlob(db, coloursHash);
    response.type(mime).set('Cache-Control', 'private, max-age=31536000, immutable').send(Buffer.from(bytes));
  });
  router.get(
    '/:id/regions',
    json<OfSheet>((request) => readRegions(db, request.params.id, From.parse(request.query.from))),
  );
  router.get('/:id/page-index', async (request, response) => {
    const packed = await readPackedIndex(db, request.params.id, From.parse(request.query.from));
    response.type('application/octet-stream').send(Buffer.from(packed));
  });
  router.put(
    '/:id/regions',
    upload.single('index'),
    json<OfSheet>(async (request) => {
      if (!request.file) throw new Refused(422, 'The regions did not arrive.');
      return storeRegions(db, request.params.id, String(request.body.from ?? ''), request.file.buffer);
    }),
  );
  router.use(benchRoutes(db));
  return router;
}

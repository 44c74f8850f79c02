import { Router } from 'express';
import multer from 'multer';
import { z } from 'zod';
import { Id, ReferenceEdit, ReferenceName } from '../../contracts/index.ts';
import { type Database } from '../db/open-database.ts';
import { Refused } from '../refused.ts';
import { editReference, listReferences, pinReference, readReference } from '../services/references.ts';
import { type OfSheet, bodyOf, json } from './handle.ts';

const upload = multer({ storage: multer.memoryStorage(), limits: { fileSize: 60 * 1024 * 1024, files: 1 } });
const NewReference = z.object({ id: Id, name: ReferenceName, thingId: Id.optional() });

type OfReference = OfSheet & { reference: string };

/** Pictures pinned to a sheet: mounted under it, so that each request names its sheet. */
export function referenceRoutes(db: Database): Router {
  const router = Router({ mergeParams: true });
  router.get(
    '/',
    json<OfSheet>((request) => listReferences(db, request.params.id)),
  );
  router.post(
    '/',
    upload.single('file'),
    json<OfSheet>(async (request) => {
      const { id, name, thingId = null } = bodyOf(NewReference, request);
      if (!request.file?.buffer.length) throw new Refused(422, 'No picture arrived. Choose one to pin.');
      return pinReference(db, request.params.id, { id, name, thingId, file: request.file.buffer });
    }),
  );
  router.patch(
    '/:reference',
    json<OfReference>((request) =>
      editReference(db, request.params.id, request.params.reference, bodyOf(ReferenceEdit, request)),
    ),
  );
  router.get('/:reference/picture', async (request, response) => {
    const { id, reference } = request.params as object as OfReference;
    const { mime, bytes } = await readReference(db, id, reference);
    response.type(mime).set('Cache-Control', 'private, max-age=31536000, immutable').send(Buffer.from(bytes));
  });
  return router;
}

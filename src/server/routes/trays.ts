import { Router } from 'express';
import { AddPencils, CopyPencils, PencilEdit } from '../../contracts/index.ts';
import { type Database } from '../db/open-database.ts';
import { addPencils, copyPencils, editPencil, listPencils, listTrays } from '../services/trays.ts';
import { bodyOf, json } from './handle.ts';

/** Trays and the pencils in them. */
export function trayRoutes(db: Database): Router {
  const router = Router();
  router.get(
    '/',
    json(() => listTrays(db)),
  );
  router.get(
    '/:id/pencils',
    json((request) => listPencils(db, request.params.id)),
  );
  router.post(
    '/:id/pencils',
    json((request) => addPencils(db, request.params.id, bodyOf(AddPencils, request).pencils)),
  );
  router.post(
    '/:id/copies',
    json((request) => copyPencils(db, request.params.id, bodyOf(CopyPencils, request).pencilIds)),
  );
  router.patch(
    '/:id/pencils/:pencilId',
    json(({ params, body }) => editPencil(db, params.id, params.pencilId, PencilEdit.parse(body))),
  );
  return router;
}

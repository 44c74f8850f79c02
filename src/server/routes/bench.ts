import { format } from 'date-fns';
import { Router } from 'express';
import { LogEntries, NewBenchPlan, NewNote } from '../../contracts/index.ts';
import { type Database } from '../db/open-database.ts';
import { benchState, logSteps, ratesOf, readRecord, storeBenchPlan } from '../services/bench.ts';
import { benchBook } from '../services/bench-book.ts';
import { addNote, readNotebook } from '../services/notebook.ts';
import { type OfSheet, bodyOf, json } from './handle.ts';

/** The bench of a sheet and its record: the order of steps, what was done of it, and what was written down. */
export function benchRoutes(db: Database): Router {
  const router = Router();
  router.get(
    '/:id/bench',
    json<OfSheet>((request) => benchState(db, request.params.id)),
  );
  router.post(
    '/:id/bench',
    json<OfSheet>((request) => storeBenchPlan(db, request.params.id, bodyOf(NewBenchPlan, request))),
  );
  router.post(
    '/:id/log',
    json<OfSheet>((request) => logSteps(db, request.params.id, bodyOf(LogEntries, request))),
  );
  router.get('/:id/bench-book.pdf', async (request, response) => {
    const today = format(new Date(), 'yyyy-MM-dd');
    const { fileName, bytes } = await benchBook(db, request.params.id, today);
    response.attachment(fileName).type('application/pdf').send(Buffer.from(bytes));
  });
  router.get(
    '/:id/rates',
    json<OfSheet>((request) => ratesOf(db, request.params.id)),
  );
  router.get(
    '/:id/record',
    json<OfSheet>((request) => readRecord(db, request.params.id)),
  );
  router.get(
    '/:id/notebook',
    json<OfSheet>((request) => readNotebook(db, request.params.id)),
  );
  router.post(
    '/:id/notes',
    json<OfSheet>((request) => addNote(db, request.params.id, bodyOf(NewNote, request))),
  );
  return router;
}

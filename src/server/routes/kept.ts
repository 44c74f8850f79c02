import { Router } from 'express';
import type { z } from 'zod';
import { type Database } from '../db/open-database.ts';
import { bodyOf, json } from './handle.ts';
import { type NamedStore } from '../services/kept.ts';

/** What is kept by name: listed, kept and put away; each answers with all that is kept then. */
export function keptRoutes<Content>(db: Database, shelf: NamedStore<Content>, schema: z.ZodType<Content>): Router {
  const routes = Router();
  routes.get(
    '/',
    json(() => shelf.list(db)),
  );
  routes.put(
    '/',
    json((request) => shelf.keep(db, bodyOf(schema, request))),
  );
  routes.delete(
    '/:id',
    json<{ id: string }>((request) => shelf.remove(db, request.params.id)),
  );
  return routes;
}

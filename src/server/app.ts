import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { NewPalette, NewRecipeCard, SettingsEdit } from '../contracts/index.ts';
import { type Database } from './db/open-database.ts';
import { type Access, accessRoutes, requireSession } from './access.ts';
import { Refused } from './refused.ts';
import { bodyOf, json, refuse } from './routes/handle.ts';
import { deviceRoutes } from './routes/devices.ts';
import { keptRoutes } from './routes/kept.ts';
import { sheetRoutes } from './routes/sheets.ts';
import { trayRoutes } from './routes/trays.ts';
import { simulatedDevices } from './services/devices.ts';
import { demoState, putDemoBack, removeDemo } from './services/demo-desk.ts';
import { readPractice } from './services/notebook.ts';
import { keptPalettes, keptRecipes } from './services/kept.ts';
import { editSettings, readSettings } from './services/settings.ts';

export interface AppOptions {
  db: Database;
  log: Logger;
  /** Folder of the demo's drawn sheets. */
  demoSheets: URL;
  /** Folder of the built web files, or null to serve the API alone. */
  web: string | null;
  /** How other devices come in; null: the desk is for this computer alone. */
  access?: Access | null;
  /** Told of every request to the API, and whether it may change something. */
  onRequest?: (changes: boolean) => void;
}

/** The whole HTTP side: the API under /api and, beside it, the built web files. */
export function createApp({ db, log, demoSheets, web, access = null, onRequest }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger: log, autoLogging: false }));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'blob:', 'data:'],
          workerSrc: ["'self'", 'blob:'],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.use('/api', (request, _response, next) => {
    onRequest?.(request.method !== 'GET');
    next();
  });
  app.use('/api', ...requireSession(access), express.json({ limit: '20mb' }));
  app.use('/api/access', accessRoutes(access));
  app.get(
    '/api/health',
    json(async () => ({ ok: true })),
  );
  app.get(
    '/api/settings',
    json(() => readSettings(db)),
  );
  app.patch(
    '/api/settings',
    json((request) => editSettings(db, bodyOf(SettingsEdit, request))),
  );
  app.get(
    '/api/demo',
    json(() => demoState(db)),
  );
  app.delete(
    '/api/demo',
    json(() => removeDemo(db)),
  );
  app.put(
    '/api/demo',
    json(() => putDemoBack(db, demoSheets)),
  );
  app.get(
    '/api/practice',
    json(() => readPractice(db)),
  );
  app.use('/api/palettes', keptRoutes(db, keptPalettes, NewPalette));
  app.use('/api/recipe-cards', keptRoutes(db, keptRecipes, NewRecipeCard));
  app.use('/api/devices', deviceRoutes(simulatedDevices(db, Date.now)));
  app.use('/api/sheets', sheetRoutes(db));
  app.use('/api/trays', trayRoutes(db));
  app.use('/api', () => {
    throw new Refused(404, 'There is nothing at this address.');
  });
  if (web && existsSync(web)) serveWeb(app, web);
  app.use(refuse);
  return app;
}

function serveWeb(app: Express, web: string): void {
  app.use('/assets', express.static(join(web, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(web, { index: false, maxAge: 0 }));
  app.get('/{*path}', (_request, response) =>
    response.set('Cache-Control', 'no-cache').sendFile(join(web, 'index.html')),
  );
}

import { once } from 'node:events';
import { createServer } from 'node:net';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import pino from 'pino';
import { seedDemo } from '../demo/index.ts';
import { createApp } from './app.ts';
import { openDatabase } from './db/open-database.ts';
import { LEAST_CODE, prepareAccess, ownAddresses } from './access.ts';
import { startOver } from './fresh.ts';
import { lockFolder } from './lock.ts';
import { demoDesk } from './services/demo-desk.ts';
import { ensureDesk } from './services/desk.ts';
import { whenQuiet } from './services/upkeep.ts';

const port = Number(process.env.PORT ?? 4180);
const host = process.env.HOST ?? '127.0.0.1';
const folder = resolve(process.env.HARMONIE_DATA ?? 'data');
// Paths are taken from the project's folder, where npm runs: this file is bundled into dist/server.
const web = resolve('dist/web');
const demoSheets = pathToFileURL(resolve(process.env.HARMONIE_DEMO ?? 'src/demo/sheets') + '/');
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });

try {
  const isOpen = !['127.0.0.1', 'localhost', '::1'].includes(host);
  const code = process.env.HARMONIE_CODE ?? '';
  if (isOpen && code.length < LEAST_CODE) {
    throw new Error(
      `To let other devices in, set HARMONIE_CODE to an access code of at least ${LEAST_CODE} characters; or leave HOST out to stay on this computer.`,
    );
  }
  if (!Number.isInteger(port) || port < 0 || port > 65_535) throw new Error('PORT is a whole number from 0 to 65535.');
  // What stands in the way of it is said before anything is laid out.
  await canListen(port, host);
  await lockFolder(folder);
  if (process.argv.includes('--fresh')) {
    const kept = startOver(folder);
    if (kept) console.log(`The old desk is kept in ${kept}`);
  }
  const { db, close } = await openDatabase(folder);
  await ensureDesk(db);
  const seeded = await seedDemo(demoDesk(db, demoSheets));
  if (seeded) console.log('The demo sheets and pencils are laid out.');
  const access = isOpen ? await prepareAccess(db, code) : null;
  const house = whenQuiet(db, (fault) => log.error(fault));
  const { onRequest } = house;
  const server = createApp({ db, log, demoSheets, web, access, onRequest }).listen(port, host, (error?: Error) => {
    if (error) return stop(error);
    const address = server.address();
    const actual = typeof address === 'object' && address ? address.port : port;
    console.log(`Harmonie is ready at http://localhost:${actual}`);
    if (!isOpen) return;
    for (const own of host === '0.0.0.0' ? ownAddresses() : [host]) {
      console.log(`Other devices come in at http://${own}:${actual} with the access code.`);
    }
    console.log('On an open network others could read along: use it at home only.');
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.once(signal, () => {
      house.stop();
      server.close(() => void close().finally(() => process.exit(0)));
      server.closeAllConnections();
    });
  }
} catch (error) {
  stop(error as Error & { code?: string });
}

/** Whether a port can be had, by taking it for a moment. @throws as listening would */
async function canListen(port: number, host: string): Promise<void> {
  const server = createServer().listen(port, host);
  await once(server, 'listening');
  server.close();
  await once(server, 'close');
}

function stop(error: Error & { code?: string }): never {
  const sentence = error.code === 'EADDRINUSE' ? `Port ${port} is taken. Set PORT to another one.` : error.message;
  console.error(sentence);
  process.exit(1);
}

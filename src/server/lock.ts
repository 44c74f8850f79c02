import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, realpathSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';

/**
 * Takes the data folder for this process alone: two processes on one embedded database lose each other's work. On
 * Linux an abstract socket named by the folder frees itself however the process ends; elsewhere a file names the
 * process that holds it.
 * @throws Error with a sentence when another process has it
 */
export async function lockFolder(folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const real = realpathSync(folder);
  const free = process.platform === 'linux' ? await takeSocket(real) : takeFile(join(real, 'in-use.lock'));
  if (!free)
    throw new Error(`Harmonie is already running on ${real}. Use that one, or name another folder in HARMONIE_DATA.`);
}

function takeSocket(real: string): Promise<boolean> {
  const name = '\0harmonie-' + createHash('sha256').update(real).digest('hex').slice(0, 32);
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EADDRINUSE' ? resolve(false) : reject(error),
    );
    server.listen(name, () => {
      server.unref();
      resolve(true);
    });
  });
}

function takeFile(path: string): boolean {
  try {
    const holder = Number(readFileSync(path, 'utf8'));
    process.kill(holder, 0);
    return false;
  } catch {
    writeFileSync(path, String(process.pid));
    process.on('exit', () => rmSync(path, { force: true }));
    return true;
  }
}

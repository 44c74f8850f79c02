import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { type SheetCard } from '../src/contracts/index.ts';
import { openDesk } from './harness.ts';

const run = (args: string[], env: Record<string, string>) =>
  spawnSync(process.execPath, ['dist/server/main.js', ...args], {
    env: { ...process.env, ...env },
    encoding: 'utf8',
    timeout: 90_000,
  });

describe('starting', () => {
  it('lays the demo out once, keeps what is there, and starts over only when asked, after a backup', async () => {
    const desk = await openDesk();
    const asDrawn = [
      'Kite Loft',
      'Marsh Hare under the Pier Lamp',
      'The Ferry Steps',
      'The Ferry Steps, begun',
      'The Tide Clock',
    ];
    try {
      const shelf = async () => {
        const cards = (await (await fetch(`${desk.url}/api/sheets`)).json()) as SheetCard[];
        return cards.map(({ title }) => title).sort();
      };
      expect(await shelf()).to.deep.equal(asDrawn);
      await fetch(`${desk.url}/api/sheets/ferry-steps`, {
        method: 'PATCH',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ title: 'My ferry' }),
      });
      await desk.restart();
      expect(await shelf()).to.deep.equal(
        asDrawn.map((title) => (title === 'The Ferry Steps' ? 'My ferry' : title)).sort(),
      );
      await desk.restart(['--fresh']);
      expect(await shelf()).to.deep.equal(asDrawn);
      const [backup] = readdirSync(join(desk.folder, 'backups'));
      expect(existsSync(join(desk.folder, 'backups', backup, 'PG_VERSION'))).to.equal(true);
    } finally {
      await desk.close();
    }
  });

  it('refuses a folder that another Harmonie has open, with a sentence', async () => {
    const desk = await openDesk();
    try {
      const second = run([], { HARMONIE_DATA: desk.folder, PORT: '0' });
      expect(second.status).to.equal(1);
      expect(second.stderr).to.contain('already running');
    } finally {
      await desk.close();
    }
  });

  it('says what is wrong with a port that is taken, a port that is none, and a host that is not this computer', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'harmonie-'));
    const desk = await openDesk();
    try {
      expect(run([], { HARMONIE_DATA: folder, PORT: new URL(desk.url).port }).stderr).to.contain('is taken');
    } finally {
      await desk.close();
    }
    expect(run([], { HARMONIE_DATA: folder, PORT: 'ten' }).stderr).to.contain('whole number');
    expect(run([], { HARMONIE_DATA: folder, HOST: '0.0.0.0' }).stderr).to.contain('set HARMONIE_CODE');
  });
});

// Installs what is missing before anything else runs. Needs nothing but Node: it runs on a fresh clone.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { findChromium } from './chromium.mjs';

const STAMP = 'node_modules/.installed-from';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19))
  fail(`Harmonie needs Node 20.19 or newer; this is ${process.versions.node}.`);
installPackages();
if (process.argv.includes('--browser')) installBrowser();

function installPackages() {
  const hash = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === hash) return;
  console.log('Installing packages …');
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: 'inherit',
    shell: process.platform === 'win32',
  });
  if (status !== 0)
    fail('The packages could not be installed; see above. Check the connection to the package registry.');
  writeFileSync(STAMP, hash);
}

function installBrowser() {
  if (findChromium()) return;
  const hint = 'Install Chromium (on Debian: apt-get install chromium) or set CHROMIUM_PATH to one.';
  if (process.platform !== 'linux' || process.getuid?.() !== 0) fail(`The interface tests need Chromium. ${hint}`);
  console.log('Installing Chromium …');
  try {
    const quiet = {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    };
    execFileSync('apt-get', ['update', '-qq'], quiet);
    execFileSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], quiet);
  } catch {
    fail(`Chromium could not be installed. ${hint}`);
  }
  if (!findChromium()) fail(`Chromium was installed but is not where it was expected. ${hint}`);
}

function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}

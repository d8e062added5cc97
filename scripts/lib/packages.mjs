// Installs what is missing, before anything of npm's is there: plain Node only.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { compressFolder } from './compress.mjs';

export const ROOT = join(import.meta.dirname, '../..');

export const isRoot = () => process.getuid?.() === 0;

/** Runs a command in the open; a failure ends with one plain sentence. */
export function run(command, args, { failure, ...options } = {}) {
  const { status, error } = spawnSync(command, args, { stdio: 'inherit', cwd: ROOT, ...options });
  if (error || status !== 0)
    throw new Error(failure ?? `${command} ${args.join(' ')} failed (${error?.message ?? status}).`);
}

const asRoot = (command, args) => (isRoot() ? [command, args] : ['sudo', ['-E', command, ...args]]);

let listed = false;

/** Installs Debian packages, as root or through sudo. */
export function aptInstall(...packages) {
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const apt = (...args) => {
    const [command, all] = asRoot('apt-get', args);
    run(command, all, {
      env,
      stdio: ['ignore', 'ignore', 'inherit'],
      failure: `Installing ${packages.join(', ')} from Debian failed. Install it by hand (apt-get install ${packages.join(' ')}) and start again.`,
    });
  };
  console.log(`Installing ${packages.join(', ')} from Debian …`);
  if (!listed) apt('update', '-qq');
  listed = true;
  apt('install', '-y', '-qq', '--no-install-recommends', ...packages);
}

const fingerprint = (text) => createHash('sha256').update(text).digest('hex');

/** Installs the npm packages of the lock file when they are not the ones that are there. */
export function ensureNpmPackages() {
  const stamp = join(ROOT, 'node_modules/.sovet-lock');
  const lock = fingerprint(readFileSync(join(ROOT, 'package-lock.json'), 'utf8'));
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing npm packages …');
  // Not `npm ci`: it refuses a lock file that lacks other platforms' binaries (docs/decisions/lock-file.md).
  run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error', '--include=dev'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    failure: 'npm could not install the packages.',
  });
  writeFileSync(stamp, lock);
}

const BUILT_FROM = [
  'src',
  'public',
  'scripts/lib/compress.mjs',
  'scripts/lib/processes.mjs',
  'scripts/lib/shared-chunks.mjs',
  'package-lock.json',
  'astro.config.mjs',
  'tsconfig.json',
];

function sourcePrint() {
  const hash = createHash('sha256');
  const add = (path) => {
    const full = join(ROOT, path);
    if (!existsSync(full)) return;
    const entries = readdirSync(full, { withFileTypes: true, recursive: true })
      .filter((entry) => entry.isFile() && !/\.test\.tsx?$/.test(entry.name))
      .map((entry) => join(entry.parentPath ?? entry.path, entry.name))
      .sort();
    for (const file of entries) hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  };
  for (const path of BUILT_FROM) {
    if (path.includes('.')) hash.update(readFileSync(join(ROOT, path)));
    else add(path);
  }
  return hash.digest('hex');
}

/** Builds the application when its sources changed since the last build. */
export async function ensureBuilt() {
  const stamp = join(ROOT, 'dist/.sovet-sources');
  const print = sourcePrint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === print) return;
  console.log('Building …');
  rmSync(join(ROOT, 'dist'), { recursive: true, force: true });
  run(process.execPath, [join(ROOT, 'node_modules/astro/astro.js'), 'build'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
    failure: 'The build failed.',
  });
  const { buildProcesses } = await import('./processes.mjs');
  await buildProcesses();
  await compressFolder(join(ROOT, 'dist/client'));
  writeFileSync(stamp, print);
}

/** Debian's poppler, by which the tests read a PDF back. */
export function ensurePoppler() {
  if (!existsSync('/usr/bin/pdftotext')) aptInstall('poppler-utils');
}

/** Debian's Chromium without its window, which takes a third of the time; the whole of it serves too. */
const SHELL = 'chromium-headless-shell';
const CHROMIUMS = [SHELL, 'chromium'].map((name) => `/usr/bin/${name}`);
export const chromiumPath = () => CHROMIUMS.find((path) => existsSync(path));

/** Debian's Chromium for the browser tests. */
export function ensureChromium() {
  if (chromiumPath() !== CHROMIUMS[0])
    try {
      aptInstall(SHELL);
    } catch (error) {
      if (!chromiumPath()) aptInstall('chromium');
      else console.log(error.message);
    }
  return chromiumPath();
}

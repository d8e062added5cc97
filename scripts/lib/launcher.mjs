// One launcher a data folder, and what it may start with.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** The command line of a process, empty when there is none: a number in a file may have been given to somebody else. */
export function commandOf(pid) {
  if (!(pid > 0)) return '';
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ').trim();
  } catch {
    return '';
  }
}

/**
 * Takes a data folder for this process. Answers null, or who has it. What a killed launcher left behind is passed over.
 *
 * @returns {{ pid: number, origin: string } | null}
 */
export function takeFolder(folder) {
  mkdirSync(folder, { recursive: true });
  const file = join(folder, 'launcher.json');
  for (let tries = 0; tries < 2; tries += 1) {
    try {
      writeFileSync(file, JSON.stringify({ pid: process.pid, origin: '' }), { flag: 'wx' });
      return null;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    const other = readLauncher(file);
    if (other.pid !== process.pid && commandOf(other.pid).includes('scripts/start.mjs')) return other;
    rmSync(file, { force: true });
  }
  return { pid: 0, origin: '' };
}

function readLauncher(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return { pid: 0, origin: '' };
  }
}

/** Notes where the application is, for whoever starts a second one. */
export const noteOrigin = (folder, origin) =>
  writeFileSync(join(folder, 'launcher.json'), JSON.stringify({ pid: process.pid, origin }));

export const leaveFolder = (folder) => rmSync(join(folder, 'launcher.json'), { force: true });

const LEAST_SECRET = 32;
const LEAST_DIFFERENT = 10;

/** Why a secret is too weak to sign anything with, or null. */
export function weakness(secret) {
  if (secret.length < LEAST_SECRET)
    return `SOVET_SECRET has ${secret.length} characters; it needs at least ${LEAST_SECRET}. Make one with: openssl rand -hex 32`;
  if (new Set(secret).size < LEAST_DIFFERENT)
    return 'SOVET_SECRET repeats itself and can be guessed. Make one with: openssl rand -hex 32';
  return null;
}

const isLoopback = (host) => /^(localhost|127(\.\d+){3}|\[?::1\]?)$/.test(host);

/** Whether the demo and its published passwords are loaded: said so, or nothing outside this machine reaches them. */
export function wantsDemo({ SOVET_DEMO, SOVET_ORIGIN, HOST, DATABASE_URL } = process.env) {
  if (SOVET_DEMO === 'on') return true;
  if (SOVET_DEMO === 'off' || DATABASE_URL) return false;
  return isLoopback(HOST || '127.0.0.1') && (!SOVET_ORIGIN || isLoopback(new URL(SOVET_ORIGIN).hostname));
}

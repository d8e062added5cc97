import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, describe, expect, it } from 'vitest';
import {
  commandOf,
  leaveFolder,
  noteOrigin,
  takeFolder,
  wantsDemo,
  weakness,
} from '../../scripts/lib/launcher.mjs';
import { startPostgres } from '../../scripts/lib/postgres.mjs';

const folder = mkdtempSync(join(tmpdir(), 'sovet-start-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('one launcher a data folder', () => {
  const note = join(folder, 'launcher.json');

  it('takes it, and gives it back', () => {
    expect(takeFolder(folder)).toBeNull();
    noteOrigin(folder, 'http://127.0.0.1:4321');
    expect(JSON.parse(readFileSync(note, 'utf8'))).toEqual({
      pid: process.pid,
      origin: 'http://127.0.0.1:4321',
    });
    leaveFolder(folder);
    expect(takeFolder(folder)).toBeNull();
    leaveFolder(folder);
  });

  it('passes over what a killed one left: a number of nobody, of somebody else, or no number at all', () => {
    for (const left of [
      '{"pid":999999999,"origin":"x"}',
      `{"pid":${process.ppid},"origin":"x"}`,
      'half a fi',
    ]) {
      writeFileSync(note, left);
      expect(takeFolder(folder)).toBeNull();
      leaveFolder(folder);
    }
  });

  it('a process that is gone has no command line', () => {
    expect(commandOf(process.pid)).toContain('node');
    expect(commandOf(999_999_999)).toBe('');
    expect(commandOf(0)).toBe('');
  });
});

describe('what it starts with', () => {
  it('a secret that can be guessed is refused with what to do', () => {
    expect(weakness('short')).toMatch(/at least 32.*openssl rand/);
    expect(weakness('a'.repeat(64))).toMatch(/can be guessed/);
    expect(weakness('4f1c0be9d2a87356'.repeat(4))).toBeNull();
  });

  it.each([
    [{}, true],
    [{ HOST: 'localhost' }, true],
    [{ HOST: '0.0.0.0' }, false],
    [{ HOST: '0.0.0.0', SOVET_DEMO: 'on' }, true],
    [{ SOVET_ORIGIN: 'https://clinic.example' }, false],
    [{ SOVET_ORIGIN: 'http://127.0.0.1:4400' }, true],
    [{ DATABASE_URL: 'postgres://somewhere/sovet' }, false],
    [{ SOVET_DEMO: 'off' }, false],
  ])('%j: demo %s', (env, demo) => {
    expect(wantsDemo(env)).toBe(demo);
  });
});

describe('the private database after a power cut', () => {
  const data = mkdtempSync(join(tmpdir(), 'sovet-power-'));
  afterAll(() => rmSync(data, { recursive: true, force: true }));
  const answers = async (url: string) => {
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    const { rows } = await client.query('select 1 as n');
    await client.end();
    return rows[0].n;
  };

  it('comes up although its number now belongs to another process', async () => {
    const first = await startPostgres(data);
    const file = join(data, 'postgres/postmaster.pid');
    const lines = readFileSync(file, 'utf8').split('\n');
    process.kill(Number(lines[0]), 'SIGKILL');
    await expect.poll(() => commandOf(Number(lines[0])), { timeout: 5000 }).toBe('');
    writeFileSync(file, [String(process.pid), ...lines.slice(1)].join('\n'));
    const again = await startPostgres(data);
    expect(await answers(again.url)).toBe(1);
    // A second start on the same folder uses the server that is there, and does not stop it.
    const beside = await startPostgres(data);
    expect(beside.url).toBe(again.url);
    await beside.stop();
    expect(await answers(again.url)).toBe(1);
    await again.stop();
    await first.stop();
  }, 60_000);
});

// npm run try-image: where no container tool exists, does what deploy/Containerfile says, step by step, in a scratch folder; then
// starts what came out of it as a user who owns nothing, in a network that has loopback and nothing else. As root, on Linux.
import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import pg from 'pg';
import { isRoot, ROOT, run } from './lib/packages.mjs';
import { freePort, startPostgres } from './lib/postgres.mjs';

const INSIDE = process.argv[2];
const SECRET = 'a secret of the image that is tried and of nothing else, 0123456789';

/** The steps of one stage: what is copied from the checkout, and what is run. */
function stepsOf(stage) {
  const stages = readFileSync(join(ROOT, 'deploy/Containerfile'), 'utf8')
    .split(/^FROM /m)
    .slice(1);
  return stages[stage].split('\n').flatMap((line) => {
    const [, what, rest] = /^(COPY|RUN|CMD) (.*)$/.exec(line) ?? [];
    return what ? [{ what, rest }] : [];
  });
}

function build(folder) {
  const checkout = join(folder, 'checkout');
  const image = join(folder, 'opt-sovet');
  for (const path of [checkout, image]) mkdirSync(path);
  run('sh', ['-c', `git -C "${ROOT}" archive HEAD | tar -x -C "${checkout}"`], {
    failure: 'The checkout could not be copied.',
  });
  for (const { what, rest } of stepsOf(0)) {
    console.log(`${what} ${rest}`);
    if (what === 'COPY')
      for (const path of rest.split(' ').slice(0, -1))
        cpSync(join(checkout, path), path === '.' ? image : join(image, path), { recursive: true });
    else if (what === 'RUN')
      run('sh', ['-c', rest], { cwd: image, stdio: 'inherit', failure: `This step failed: ${rest}` });
  }
  return image;
}

/** Inside the network that reaches nothing: the image against a database of its own. */
async function start(folder) {
  const image = join(folder, 'opt-sovet');
  const outside = await fetch('https://registry.npmjs.org', { signal: AbortSignal.timeout(3000) }).then(
    () => true,
    () => false,
  );
  if (outside) throw new Error('This network reaches the outside, so it proves nothing.');
  const database = await startPostgres(join(folder, 'database'), 'sovet_admin');
  const admin = new pg.Client({ connectionString: database.url });
  await admin.connect();
  await admin.query(`create role image_owner login createrole password 'image'`);
  await admin.query('create database clinic owner image_owner');
  await admin.end();
  const url = new URL(database.url);
  Object.assign(url, { username: 'image_owner', password: 'image', pathname: '/clinic' });
  const port = await freePort();
  const id = (flag) => Number(spawnSync('id', [flag, 'nobody'], { encoding: 'utf8' }).stdout);
  const [, command, ...args] = /^\["([^"]+)", "([^"]+)"\]$/.exec(stepsOf(1).at(-1).rest);
  const application = spawn(command, args, {
    cwd: image,
    uid: id('-u'),
    gid: id('-g'),
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      PATH: process.env.PATH,
      HOME: '/nonexistent',
      DATABASE_URL: url.toString(),
      SOVET_SECRET: SECRET,
      SOVET_DEMO: 'off',
      SOVET_DATA: join(folder, 'data'),
      SOVET_ORIGIN: `http://127.0.0.1:${port}`,
      PORT: String(port),
    },
  });
  let said = '';
  application.stdout.on('data', (chunk) => {
    said += chunk;
  });
  const ended = new Promise((resolve) => application.once('exit', resolve));
  try {
    for (let tries = 0; tries < 300 && !said.includes('Ctrl-C stops it.'); tries += 1) await wait(200);
    if (/Installing|Building/.test(said)) throw new Error('It installed or built something at run time.');
    const page = await fetch(`http://127.0.0.1:${port}/set-up`);
    if (page.status !== 200 || !/shown once: [A-Z2-9-]{14}/.test(said))
      throw new Error(`It did not come up: ${said}`);
    application.kill('SIGTERM');
    const code = await Promise.race([ended, wait(20_000, 'nothing')]);
    if (code !== 0) throw new Error(`Told to stop, it ended with ${code}.`);
    console.log(
      'It serves the set-up page as nobody, without a network, has installed and built nothing, and stops when told to.',
    );
  } finally {
    application.kill('SIGKILL');
    await database.stop();
  }
}

if (!isRoot()) throw new Error('Cutting off the network needs root.');
if (INSIDE) {
  await start(INSIDE);
} else {
  const folder = mkdtempSync(join(tmpdir(), 'sovet-image-'));
  chmodSync(folder, 0o755);
  mkdirSync(join(folder, 'data'));
  chmodSync(join(folder, 'data'), 0o777);
  try {
    build(folder);
    run(
      'unshare',
      [
        '-n',
        'sh',
        '-c',
        `ip link set lo up && exec "${process.execPath}" "${import.meta.filename}" "${folder}"`,
      ],
      { stdio: 'inherit', failure: 'What came out of it did not run.' },
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

// One command: installs what is missing, brings up the database, builds, serves, and takes it all down again.
import { listenHost, prepareDatabase, startApplication } from './lib/application.mjs';
import { leaveFolder, noteOrigin, takeFolder, wantsDemo, weakness } from './lib/launcher.mjs';
import { ensureBuilt, ensureNpmPackages } from './lib/packages.mjs';
import { dataFolder, freePort, secretIn, startPostgres } from './lib/postgres.mjs';

const folder = dataFolder();
const other = takeFolder(folder);
if (other) {
  console.error(
    other.origin
      ? `Sovet already runs on this data, at ${other.origin} (process ${other.pid}).`
      : `Sovet is being started on this data by process ${other.pid}.`,
  );
  process.exit(1);
}

const stops = [() => leaveFolder(folder)];
let stopping = false;
async function shutDown(code) {
  if (stopping) return;
  stopping = true;
  for (const stop of stops.reverse()) await stop();
  process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void shutDown(0));

/** Ends here when a signal came while something else was under way. */
const goOn = () => new Promise((resolve) => setImmediate(() => !stopping && resolve()));

try {
  ensureNpmPackages();
  await goOn();
  const secret = secretIn(folder);
  const weak = weakness(secret);
  if (weak) throw new Error(weak);
  let ownerUrl = process.env.DATABASE_URL;
  if (!ownerUrl) {
    const database = await startPostgres(folder);
    stops.push(database.stop);
    ownerUrl = database.url;
  }
  await goOn();
  await ensureBuilt();
  await goOn();
  const demo = wantsDemo();
  const logins = prepareDatabase(ownerUrl, secret, { SOVET_DEMO: demo ? 'on' : 'off' });
  await goOn();
  const port = await freePort(Number(process.env.PORT || 4321), listenHost());
  const application = await startApplication({
    port,
    secret,
    logins,
    env: { SOVET_DEMO: demo ? 'on' : 'off' },
  });
  stops.push(application.stop);
  noteOrigin(folder, application.origin);
  console.log(`\nSovet is at ${application.origin}`);
  if (demo)
    console.log(
      [
        'Sign in to the demo clinic (invented people only):',
        '  lead@harbour.example          low-tide-lantern',
        '  practitioner@harbour.example  low-tide-lantern',
        '  assistant@harbour.example     low-tide-lantern',
      ].join('\n'),
    );
  if (logins.setUpCode)
    console.log(
      `Nobody has an account here yet. Open ${application.origin}/set-up and type this code, which is shown once: ${logins.setUpCode}`,
    );
  console.log('Ctrl-C stops it.');
  void application.ended.then((code) => {
    if (stopping) return;
    console.error('The application ended by itself.');
    void shutDown(code ?? 1);
  });
} catch (error) {
  console.error(error.message);
  await shutDown(1);
}

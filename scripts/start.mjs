// One command: installs what is missing, brings up the database, builds, serves, and takes it all down again.
import { prepareDatabase, startApplication } from './lib/application.mjs';
import { ensureBuilt, ensureNpmPackages } from './lib/packages.mjs';
import { dataFolder, freePort, secretIn, startPostgres } from './lib/postgres.mjs';

const stops = [];
let stopping = false;
async function shutDown(code) {
  if (stopping) return;
  stopping = true;
  for (const stop of stops.reverse()) await stop();
  process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void shutDown(0));

try {
  ensureNpmPackages();
  const folder = dataFolder();
  const secret = secretIn(folder);
  let ownerUrl = process.env.DATABASE_URL;
  if (!ownerUrl) {
    const database = await startPostgres(folder);
    stops.push(database.stop);
    ownerUrl = database.url;
  }
  const logins = prepareDatabase(ownerUrl, secret);
  ensureBuilt();
  if (!stopping) {
    const port = await freePort(Number(process.env.PORT ?? 4321));
    const application = await startApplication({ port, secret, logins });
    stops.push(application.stop);
    console.log(`\nSovet is at ${application.origin}`);
    if (process.env.SOVET_DEMO !== 'off')
      console.log(
        [
          'Sign in to the demo clinic (invented people only):',
          '  lead@harbour.example          low-tide-lantern',
          '  practitioner@harbour.example  low-tide-lantern',
          '  assistant@harbour.example     low-tide-lantern',
        ].join('\n'),
      );
    console.log('Ctrl-C stops it.');
    void application.ended.then((code) => {
      if (stopping) return;
      console.error('The application ended by itself.');
      void shutDown(code ?? 1);
    });
  }
} catch (error) {
  console.error(error.message);
  await shutDown(1);
}

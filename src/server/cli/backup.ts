/** backup FILE | restore FILE, on the database of SOVET_OWNER_DATABASE_URL. */
import { backup, noteBackup, restore } from '../backup/backup';
import type { Manifest } from '../backup/manifest';

const [what, file] = process.argv.slice(2);
const { SOVET_OWNER_DATABASE_URL: ownerUrl, SOVET_SECRET: secret, SOVET_PG_BIN: bin } = process.env;
if (!ownerUrl || !secret || bin === undefined || !file)
  throw new Error('Run this through npm run backup or npm run restore.');

const told = ({ madeAt, tables, replay }: Manifest): string => {
  const rows = Object.values(tables).reduce((sum, table) => sum + Number(table.rows), 0);
  return `${rows} rows in ${Object.keys(tables).length} tables, of ${madeAt}; ${replay.alike} of the latest ${replay.looked} specifications replay to the last byte`;
};

try {
  if (what === 'restore') {
    const { manifest, erased } = await restore(ownerUrl, file, { bin, secret });
    console.log(`Restored and checked: ${told(manifest)}.`);
    if (erased > 0) console.log(`Erased again, as later backups beside it say: ${erased} people.`);
  } else {
    const made = told(await backup(ownerUrl, file, bin));
    await noteBackup(ownerUrl, secret, made);
    console.log(`Backed up and read back: ${made}.`);
  }
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}

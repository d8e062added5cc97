// npm run sbom: every component that is shipped, as CycloneDX in dist/sbom.json, and whether each may be. Fails on a licence that
// nobody has looked at.
import { spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib/packages.mjs';

const ACCEPTED = new Set([
  'MIT',
  'MIT-0',
  '0BSD',
  'ISC',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'CC0-1.0',
  '(MIT OR CC0-1.0)',
  '(MIT AND Zlib)',
  'Python-2.0',
  // Fonts, shipped as they are.
  'OFL-1.1',
  // File by file: the calendar library is used as it is, on the server, and its files stay under it.
  'MPL-2.0',
  // A library of its own beside the picture tool of the framework; nothing is linked into ours.
  'LGPL-3.0-or-later',
]);
/** Name no licence in their package: an MIT text lies beside the code of the one, the other comes with the framework at build time. */
const LOOKED_AT = new Set(['png-js', 'zod-to-ts']);

const { status, stdout } = spawnSync('npm', ['sbom', '--sbom-format', 'cyclonedx', '--omit', 'dev'], {
  cwd: ROOT,
  encoding: 'utf8',
  stdio: ['ignore', 'pipe', 'ignore'],
  maxBuffer: 64e6,
});
if (status !== 0) {
  console.error('npm could not list the components.');
  process.exit(1);
}
mkdirSync(join(ROOT, 'dist'), { recursive: true });
writeFileSync(join(ROOT, 'dist/sbom.json'), stdout);
const { components } = JSON.parse(stdout);
const licencesOf = ({ licenses = [] }) =>
  licenses.map(({ license, expression }) => license?.id ?? license?.name ?? expression);
const strange = components.filter((component) => {
  const licences = licencesOf(component);
  return licences.length === 0 ? !LOOKED_AT.has(component.name) : !licences.every((one) => ACCEPTED.has(one));
});
for (const component of strange)
  console.error(
    `${component.name} ${component.version}: ${licencesOf(component).join(', ') || 'no licence named'}`,
  );
console.log(
  `${components.length} components in dist/sbom.json, ${strange.length} under a licence that nobody has looked at.`,
);
process.exit(strange.length === 0 ? 0 : 1);

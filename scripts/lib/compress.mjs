// Files of the browser, compressed once after the build: no request waits for it.
import { readdirSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const [toBrotli, toGzip] = [promisify(brotliCompress), promisify(gzip)];

/** Text is worth it; fonts and pictures are compressed already. */
const WORTH = /\.(?:js|css|svg|json|webmanifest|txt)$/;
const FROM_BYTES = 1000;

async function compressFile(file) {
  const bytes = await readFile(file);
  if (bytes.length < FROM_BYTES) return;
  const params = {
    [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
    [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
  };
  const [br, gz] = await Promise.all([toBrotli(bytes, { params }), toGzip(bytes, { level: 9 })]);
  await Promise.all([writeFile(`${file}.br`, br), writeFile(`${file}.gz`, gz)]);
}

/** Writes `.br` and `.gz` beside every file that is worth it, on as many cores as there are. */
export async function compressFolder(folder) {
  const files = readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && WORTH.test(entry.name))
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name));
  await Promise.all(files.map(compressFile));
}

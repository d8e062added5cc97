// Files of the browser, compressed once after the build: no request waits for it.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

/** Text is worth it; fonts and pictures are compressed already. */
const WORTH = /\.(?:js|css|svg|json|webmanifest|txt)$/;
const FROM_BYTES = 1000;

/** Writes `.br` and `.gz` beside every file that is worth it. */
export function compressFolder(folder) {
  const files = readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && WORTH.test(entry.name))
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name));
  for (const file of files) {
    const bytes = readFileSync(file);
    if (bytes.length < FROM_BYTES) continue;
    writeFileSync(
      `${file}.br`,
      brotliCompressSync(bytes, {
        params: {
          [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
          [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
        },
      }),
    );
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  }
}

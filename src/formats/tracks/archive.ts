import { Gunzip, Unzip, UnzipInflate } from 'fflate';
import { fail, ok, type Result } from '@/core/result/result';

/** Bytes that all files of an archive may have together, and files in it: more is no collection of tracks. Ours. */
const LIMITS = { bytes: 600 * 1024 * 1024, files: 5000, oneFile: 80 * 1024 * 1024 };

export interface UnpackedFile {
  name: string;
  bytes: Uint8Array;
}

const TRACK = /\.(gpx|tcx|fit|csv)(\.gz)?$/i;
const tooMuch = (name: string) =>
  fail('too-large', `${name} unpacks to more than a collection of tracks has; it was not opened.`);

const joined = (chunks: readonly Uint8Array[], size: number): Uint8Array => {
  const all = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
};

/** A file packed by gzip; counted while it unpacks, whatever it says of its size. */
export function ungzip(bytes: Uint8Array, name: string): Result<Uint8Array> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const gunzip = new Gunzip((chunk) => {
    size += chunk.length;
    if (size > LIMITS.oneFile) throw new RangeError('too much');
    chunks.push(chunk);
  });
  try {
    for (let at = 0; at < bytes.length; at += 65_536)
      gunzip.push(bytes.subarray(at, at + 65_536), at + 65_536 >= bytes.length);
  } catch (error) {
    return error instanceof RangeError ? tooMuch(name) : fail('broken', `${name} cannot be unpacked.`);
  }
  return ok(joined(chunks, size));
}

/** The tracks in a ZIP archive; what is unpacked is counted as it comes, so that a small file cannot become a huge one. */
export function unzipTracks(bytes: Uint8Array, name: string): Result<UnpackedFile[]> {
  const files: UnpackedFile[] = [];
  let total = 0;
  let many = 0;
  const unzip = new Unzip((file) => {
    many += 1;
    if (many > LIMITS.files) throw new RangeError('too many');
    // Beside the tracks lie photographs and texts: they are passed over.
    if (!TRACK.test(file.name) || /(^|\/)(__MACOSX|\.)/.test(file.name)) return;
    const chunks: Uint8Array[] = [];
    let size = 0;
    file.ondata = (error, chunk, final) => {
      if (error) throw error;
      size += chunk.length;
      total += chunk.length;
      if (size > LIMITS.oneFile || total > LIMITS.bytes) throw new RangeError('too much');
      chunks.push(chunk);
      if (final) files.push({ name: file.name, bytes: joined(chunks, size) });
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length; at += 262_144)
      unzip.push(bytes.subarray(at, at + 262_144), at + 262_144 >= bytes.length);
  } catch (error) {
    return error instanceof RangeError ? tooMuch(name) : fail('broken', `${name} cannot be unpacked.`);
  }
  return files.length === 0 ? fail('empty', `${name} holds no tracks (GPX, TCX, FIT or CSV).`) : ok(files);
}

import { ok, type Problem, type Result } from '@/core/result/result';
import { repeatsOf } from '@/core/tracks/overlap';
import type { Outing } from '@/core/tracks/track';
import { type UnpackedFile, unzipTracks } from '@/formats/tracks/archive';
import { readOutings } from '@/formats/tracks/read-file';
import { serve } from './task';

export interface TracksQuestion {
  files: readonly { name: string; bytes: Blob }[];
  now: number;
  stepM: number | null;
}

export interface TracksAnswer {
  outings: Outing[];
  /** For each outing, the one that it repeats; null where it is the first. */
  repeats: (number | null)[];
  problems: Problem[];
}

/** Largest file that is opened. */
const LARGEST = 150 * 1024 * 1024;

serve<TracksQuestion, TracksAnswer>(async ({ files, now, stepM }, report) => {
  const problems: Problem[] = [];
  const outings: Outing[] = [];
  const take = (results: readonly Result<Outing>[]) => {
    for (const result of results)
      if (result.ok) outings.push(result.value);
      else problems.push(result.problem);
  };
  for (const [at, { name, bytes }] of files.entries()) {
    report(name, at / files.length);
    if (bytes.size > LARGEST) {
      const message = `${name} has ${Math.round(bytes.size / 1_048_576)} MB; up to ${LARGEST / 1_048_576} MB are opened.`;
      problems.push({ code: 'too-large', path: [], message });
      continue;
    }
    const raw = new Uint8Array(await bytes.arrayBuffer());
    let inside: UnpackedFile[] = [{ name, bytes: raw }];
    if (/\.zip$/i.test(name)) {
      const unpacked = unzipTracks(raw, name);
      if (!unpacked.ok) {
        problems.push(unpacked.problem);
        continue;
      }
      inside = unpacked.value;
    }
    for (const [part, file] of inside.entries()) {
      if (part % 5 === 0) report(file.name, (at + part / inside.length) / files.length);
      take(await readOutings(file.bytes, file.name, { now, stepM }));
    }
  }
  outings.sort((a, b) => (a.from ?? 0) - (b.from ?? 0));
  return ok({ outings, repeats: repeatsOf(outings), problems });
});

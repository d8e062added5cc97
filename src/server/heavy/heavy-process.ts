import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { learnCatalogue } from '@/core/wear/learned/observation';
import {
  filmedFrame,
  filmedKnee,
  type MadeFile,
  photographedShank,
  photographedShoes,
  recordedStep,
  scannedFoot,
  scannedFootprint,
} from './device-files';
import { giveWay } from './give-way';

const JOBS = {
  footprintScanner: scannedFootprint,
  pressurePlate: recordedStep,
  footScanner: scannedFoot,
  gaitCamera: filmedFrame,
  kneeCamera: filmedKnee,
  shoeCamera: photographedShoes,
  tableCamera: photographedShank,
  sheetPdf: async (sheet: PatientSheet): Promise<MadeFile> => {
    // What draws it takes a second to read: only a process that is asked for a sheet does.
    const { sheetPdf } = await import('../pdf/sheet-pdf');
    return { bytes: new Uint8Array(await sheetPdf(sheet)), type: 'application/pdf', name: 'shoe-sheet.pdf' };
  },
  learnCatalogue,
};
export type HeavyKind = keyof typeof JOBS;
export type HeavyInput<K extends HeavyKind> = Parameters<(typeof JOBS)[K]>[0];
export type HeavyResult<K extends HeavyKind> = Awaited<ReturnType<(typeof JOBS)[K]>>;

/** One piece of work at a time. */
export type HeavyAsked = { [K in HeavyKind]: { kind: K; input: HeavyInput<K> } }[HeavyKind];
export type HeavySaid<K extends HeavyKind = HeavyKind> = { done: HeavyResult<K> } | { failed: string };

// Beside the server, in a process that gives way a little: signing in and saving go on at their pace.
giveWay(3);

async function work({ kind, input }: HeavyAsked): Promise<HeavySaid> {
  const job = JOBS[kind] as (of: typeof input) => HeavyResult<HeavyKind> | Promise<HeavyResult<HeavyKind>>;
  try {
    return { done: await job(input) };
  } catch (error) {
    return { failed: error instanceof Error ? error.name : 'failed' };
  }
}

process.on('message', async (asked: HeavyAsked) => process.send?.(await work(asked)));
process.on('disconnect', () => process.exit());

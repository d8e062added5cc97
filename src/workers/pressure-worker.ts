import type { FootAxis } from '@/core/examination/footprint/orient';
import { readStep, type StepReading } from '@/core/examination/pressure/analyse';
import { type FootMask, maskOf } from '@/core/examination/pressure/masks';
import type { PressureRecording } from '@/core/examination/pressure/recording';
import type { Side } from '@/core/picture/finding-kinds';
import { ok } from '@/core/result';
import { readPressureCsv } from '@/formats/pressure-csv';
import { serve } from './task';

export type PressureAsked =
  | { file: Blob; side: Side; pitchMm?: number }
  | { again: PressureRecording; side: Side; axis: FootAxis };

export interface PressureAnswer {
  recording: PressureRecording;
  mask: FootMask;
  reading: StepReading;
}

serve<PressureAsked, PressureAnswer>(
  async (asked, report) => {
    if ('again' in asked) {
      const mask = maskOf(asked.again, asked.side, asked.axis);
      return ok({ recording: asked.again, mask, reading: readStep(asked.again, mask) });
    }
    report('reading the frames', 0.1);
    const text = await asked.file.text();
    const recording = readPressureCsv(text, asked.pitchMm === undefined ? {} : { pitchMm: asked.pitchMm });
    if (!recording.ok) return recording;
    report('masking', 0.7);
    const mask = maskOf(recording.value, asked.side);
    report('measuring', 0.85);
    return ok({ recording: recording.value, mask, reading: readStep(recording.value, mask) });
  },
  ({ recording }) => recording.frames.map((frame) => frame.buffer as ArrayBuffer),
);

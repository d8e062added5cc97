import type { FootAxis } from '@/core/examination/footprint/orient';
import { readStep, type StepReading } from '@/core/examination/pressure/analyse';
import { type FootMask, maskOf } from '@/core/examination/pressure/masks';
import type { PressureRecording } from '@/core/examination/pressure/recording';
import type { Side } from '@/core/findings/finding-kinds';
import { ok } from '@/core/result/result';
import { readPressureCsv } from '@/formats/pressure-csv';
import { serve } from './task';

export type PressureQuestion =
  | { file: Blob; side: Side; pitchMm?: number }
  | { again: PressureRecording; side: Side; axis: FootAxis };

export interface PressureAnswer {
  recording: PressureRecording;
  mask: FootMask;
  reading: StepReading;
}

serve<PressureQuestion, PressureAnswer>(
  async (question, report) => {
    if ('again' in question) {
      const mask = maskOf(question.again, question.side, question.axis);
      return ok({ recording: question.again, mask, reading: readStep(question.again, mask) });
    }
    report('reading the frames', 0.1);
    const text = await question.file.text();
    const recording = readPressureCsv(
      text,
      question.pitchMm === undefined ? {} : { pitchMm: question.pitchMm },
    );
    if (!recording.ok) return recording;
    report('masking', 0.7);
    const mask = maskOf(recording.value, question.side);
    report('measuring', 0.85);
    return ok({ recording: recording.value, mask, reading: readStep(recording.value, mask) });
  },
  ({ recording }) => recording.frames.map((frame) => frame.buffer as ArrayBuffer),
);

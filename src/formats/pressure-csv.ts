import type { PressureNote, PressureRecording } from '@/core/examination/pressure/recording';
import { fail, ok, type Result } from '@/core/result/result';
import { NumberRow } from './number-row';

/**
 * A step recording as plain CSV. Lines that start with # name a setting; every other line is one row of
 * sensors of one frame: `time_s, row, p0, p1, …` in kPa.
 *
 * ```csv
 * # pitch_mm: 5
 * # unit: kPa
 * time_s,row,p0,p1,p2
 * 0,0,0,12,0
 * 0,1,4,35,8
 * 0.01,0,0,15,0
 * ```
 * Separators , ; tab and | are told apart; with ; a decimal comma is read. Units kPa, N/cm2, mmHg and psi.
 * Optional `# saturation: 600` names the sensor's ceiling. Errors name their line.
 */
export function readPressureCsv(text: string, given: { pitchMm?: number } = {}): Result<PressureRecording> {
  const settings = new Map<string, string>();
  const body: string[] = [];
  const lineOf: number[] = [];
  for (const [index, line] of text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\n|\r/)
    .entries()) {
    const plain = line.trim();
    if (plain === '') continue;
    if (plain.startsWith('#')) {
      const setting = /^#\s*([a-z_]+)\s*[:=]\s*(.+)$/i.exec(plain);
      if (setting) settings.set(setting[1]!.toLowerCase(), setting[2]!);
      continue;
    }
    body.push(line);
    lineOf.push(index + 1);
  }
  if (body.length < 2) return fail('empty', 'The file holds no frames.');
  const pitch = given.pitchMm ?? numberIn(settings.get('pitch_mm'));
  if (pitch === null || !(pitch >= 1 && pitch <= 20))
    return fail(
      'no-pitch',
      'The sensor pitch is missing: enter the distance between sensors in mm (1 to 20).',
    );
  const unit = UNITS[(settings.get('unit') ?? 'kpa').toLowerCase().replace('²', '2')];
  if (unit === undefined)
    return fail('unit', `The unit “${settings.get('unit')}” is not known: use kPa, N/cm2, mmHg or psi.`);

  const delimiter = delimiterOf(body[0]!);
  const head = body[0]!.split(delimiter).map((cell) => cell.trim().toLowerCase());
  if (head[0] !== 'time_s' || head[1] !== 'row')
    return fail(
      'header',
      `Line ${lineOf[0]}: the first columns must be “time_s” and “row”, then one a sensor.`,
    );
  const columns = head.length - 2;
  const frames = new Frames(columns, new NumberRow(columns + 2, delimiter), unit);
  for (let at = 1; at < body.length; at += 1) {
    const failure = frames.add(body[at]!, `Line ${lineOf[at]}`);
    if (failure) return failure;
  }
  return finished(frames, pitch, settings, unit);
}

/** Frames as they grow row by row. */
class Frames {
  readonly times: number[] = [];
  readonly rows: Float32Array[][] = [];
  negative = 0;

  constructor(
    readonly columns: number,
    private readonly row: NumberRow,
    private readonly unit: number,
  ) {}

  /** Takes one row of sensors; what is wrong with it, or null. */
  add(line: string, where: string): Result<never> | null {
    const { values, cells, bad } = this.row.read(line);
    if (cells !== this.columns + 2)
      return fail('columns', `${where}: ${cells - 2} sensors where the header names ${this.columns}.`);
    if (bad !== null) return fail('cell', `${where}, column ${bad.at + 1}: “${bad.text}” is not a number.`);
    const time = values[0]!;
    const row = values[1]!;
    const last = this.times[this.times.length - 1];
    if (time !== last) {
      if (last !== undefined && time < last) return fail('time', `${where}: time runs backwards.`);
      this.times.push(time);
      this.rows.push([]);
    }
    const frame = this.rows[this.rows.length - 1]!;
    if (row !== frame.length) return fail('row', `${where}: row ${row} where row ${frame.length} is due.`);
    const pressures = new Float32Array(this.columns);
    for (let at = 0; at < this.columns; at += 1) {
      const value = values[at + 2]!;
      if (value < 0) this.negative += 1;
      else pressures[at] = value * this.unit;
    }
    frame.push(pressures);
    return null;
  }
}

/** A recording out of complete frames, with what is worth saying about it. */
function finished(
  { rows: frames, times, columns, negative }: Frames,
  pitch: number,
  settings: ReadonlyMap<string, string>,
  unit: number,
): Result<PressureRecording> {
  const rows = frames[0]!.length;
  const short = frames.findIndex((frame) => frame.length !== rows);
  if (short >= 0)
    return fail(
      'frame',
      `The frame at ${times[short]} s has ${frames[short]!.length} rows, the first has ${rows}.`,
    );
  if (rows * columns < 40 || rows * columns > 250_000)
    return fail('size', `${rows} by ${columns} sensors are not a plate or an insole.`);
  const recording: PressureRecording = {
    rows,
    columns,
    pitchMm: pitch,
    times: Float64Array.from(times, (time) => time - times[0]!),
    frames: frames.map((frame) => joined(frame, rows, columns)),
    notes: [],
  };
  recording.notes = notesOn(recording, negative, numberIn(settings.get('saturation')), unit);
  return ok(recording);
}

function joined(lines: readonly Float32Array[], rows: number, columns: number): Float32Array {
  const frame = new Float32Array(rows * columns);
  for (const [row, line] of lines.entries()) frame.set(line, row * columns);
  return frame;
}

const UNITS: Record<string, number> = { kpa: 1, 'n/cm2': 10, mmhg: 0.133322, psi: 6.894757 };

const numberIn = (text: string | undefined): number | null => {
  const value = Number(text?.replace(',', '.').replace(/[^\d.].*$/, ''));
  return text !== undefined && Number.isFinite(value) ? value : null;
};

function delimiterOf(header: string): string {
  const candidates = [',', ';', '\t', '|'];
  const count = (mark: string) => header.split(mark).length;
  return candidates.reduce((best, mark) => (count(mark) > count(best) ? mark : best));
}

function notesOn(
  recording: PressureRecording,
  negative: number,
  ceiling: number | null,
  unit: number,
): PressureNote[] {
  const notes: PressureNote[] = [];
  if (unit !== 1) notes.push({ code: 'converted', message: `Converted to kPa (× ${unit}).` });
  if (negative > 0)
    notes.push({
      code: 'negative',
      message: `${negative} cells were below zero and count as 0: the plate may need to be zeroed.`,
    });
  let top = 0;
  for (const frame of recording.frames) for (const value of frame) top = Math.max(top, value);
  let atTop = 0;
  for (const frame of recording.frames) for (const value of frame) if (value === top) atTop += 1;
  const limit = ceiling === null ? null : ceiling * unit;
  if (top > 0 && ((limit !== null && top >= limit) || (limit === null && atTop >= 5)))
    notes.push({
      code: 'saturated',
      message: `${atTop} cells stand at the same highest value (${Math.round(top)} kPa): the sensors are probably saturated, so the peak is at least this.`,
    });
  return notes;
}

/** Writes a recording in the format above. */
export function writePressureCsv(recording: PressureRecording): string {
  const head = ['time_s', 'row', ...Array.from({ length: recording.columns }, (_, at) => `p${at}`)];
  const lines = [`# pitch_mm: ${recording.pitchMm}`, '# unit: kPa', head.join(',')];
  for (const [index, frame] of recording.frames.entries())
    for (let row = 0; row < recording.rows; row += 1)
      lines.push(
        [
          Math.round(recording.times[index]! * 1e6) / 1e6,
          row,
          ...Array.from(frame.subarray(row * recording.columns, (row + 1) * recording.columns), (value) =>
            String(Math.round(value * 10) / 10),
          ),
        ].join(','),
      );
  return `${lines.join('\n')}\n`;
}

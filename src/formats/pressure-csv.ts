import Papa from 'papaparse';
import type { PressureNote, PressureRecording } from '@/core/examination/pressure/recording';
import { fail, ok, type Result } from '@/core/result';

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
    const setting = /^\s*#\s*([a-z_]+)\s*[:=]\s*(.+?)\s*$/i.exec(line);
    if (setting) settings.set(setting[1]!.toLowerCase(), setting[2]!);
    else if (line.trim() !== '' && !line.trim().startsWith('#')) {
      body.push(line);
      lineOf.push(index + 1);
    }
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
  const table = Papa.parse<string[]>(body.join('\n'), { delimiter, skipEmptyLines: true });
  const [head, ...lines] = table.data;
  if (head?.[0]?.trim().toLowerCase() !== 'time_s' || head[1]?.trim().toLowerCase() !== 'row')
    return fail(
      'header',
      `Line ${lineOf[0]}: the first columns must be “time_s” and “row”, then one a sensor.`,
    );
  const columns = head.length - 2;
  const decimal = delimiter === ';' ? ',' : '.';

  const times: number[] = [];
  const frames: number[][][] = [];
  let negative = 0;
  for (const [index, cells] of lines.entries()) {
    const where = `Line ${lineOf[index + 1]}`;
    if (cells.length !== columns + 2)
      return fail('columns', `${where}: ${cells.length - 2} sensors where the header names ${columns}.`);
    const values = cells.map((cell) => Number(decimal === ',' ? cell.replace(',', '.') : cell));
    const bad = values.findIndex((value, at) => !Number.isFinite(value) || cells[at]!.trim() === '');
    if (bad >= 0) return fail('cell', `${where}, column ${bad + 1}: “${cells[bad]}” is not a number.`);
    const [time, row, ...pressures] = values as [number, number, ...number[]];
    if (times.length === 0 || time !== times[times.length - 1]) {
      if (times.length > 0 && time < times[times.length - 1]!)
        return fail('time', `${where}: time runs backwards.`);
      times.push(time);
      frames.push([]);
    }
    const frame = frames[frames.length - 1]!;
    if (row !== frame.length) return fail('row', `${where}: row ${row} where row ${frame.length} is due.`);
    frame.push(
      pressures.map((value) => {
        if (value < 0) negative += 1;
        return Math.max(0, value * unit);
      }),
    );
  }
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
    frames: frames.map((frame) => Float32Array.from(frame.flat())),
    notes: [],
  };
  recording.notes = notesOn(recording, negative, numberIn(settings.get('saturation')), unit);
  return ok(recording);
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

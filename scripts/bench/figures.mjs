// Figures of a bench run: one table of wanted and measured, against floors of the same run and against the run before it.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../lib/packages.mjs';

/**
 * One figure. `wanted`: at most this; null where nothing was asked. `floor`: what the same run measured of the least that the work
 * could cost. `ofFloor`: the ratio to the floor is what is wanted, not the value itself.
 *
 * @typedef {{ what: string, value: number, unit: string, wanted?: number | null,
 *   floor?: { what: string, value: number } | null, ofFloor?: boolean }} Figure
 */

const KEPT = join(ROOT, '.bench');
const LAST = join(KEPT, 'last.json');
/** Between two runs on the same machine a figure moves by so much without a reason: ours. */
const NOISE = 1.25;

/** @type {(Figure & { suite: string })[]} */
const figures = [];

/** @returns {(figure: Figure) => void} takes the figures of one suite */
export const figuresOf = (suite) => (figure) => {
  figures.push({ suite, ...figure });
  console.log(`  ${line(figure)}`);
};

const short = (value) =>
  value >= 100 ? value.toFixed(0) : value >= 10 ? value.toFixed(1) : value.toFixed(2);
export const ratioOf = ({ value, floor }) => (floor && floor.value > 0 ? value / floor.value : null);
/** Whether a figure is as wanted; null where nothing was asked. */
export const isHeld = (figure) =>
  figure.wanted == null ? null : (figure.ofFloor ? ratioOf(figure) : figure.value) <= figure.wanted;

function line(figure) {
  const { what, value, unit, wanted, floor, ofFloor } = figure;
  const ratio = ratioOf(figure);
  const asked = wanted == null ? '' : `, wanted ≤ ${wanted}${ofFloor ? ' ×' : ` ${unit}`}`;
  const over = ratio === null ? '' : `, ${short(ratio)} × ${floor.what}`;
  return `${what}: ${short(value)} ${unit}${asked}${over}${isHeld(figure) === false ? '  NOT HELD' : ''}`;
}

function lastRun() {
  try {
    return JSON.parse(readFileSync(LAST, 'utf8'));
  } catch {
    return null;
  }
}

/** Prints everything as one table, beside the last run, and keeps it as that for the next one. */
export function report() {
  const last = lastRun();
  const before = new Map(last?.figures.map((figure) => [`${figure.suite}/${figure.what}`, figure]) ?? []);
  const rows = figures.map((figure) => {
    const ratio = ratioOf(figure);
    const was = before.get(`${figure.suite}/${figure.what}`);
    const moved = was && figure.value / was.value;
    const [up, down] = /^m?s$/.test(figure.unit) ? ['slower', 'faster'] : ['more', 'less'];
    return [
      figure.suite,
      figure.what,
      `${short(figure.value)} ${figure.unit}`,
      figure.wanted == null ? '' : `${figure.wanted}${figure.ofFloor ? ' ×' : ` ${figure.unit}`}`,
      { true: 'yes', false: 'NO', null: '' }[isHeld(figure)],
      ratio === null ? '' : `${short(ratio)} × ${figure.floor.what}`,
      was ? `${short(was.value)}${moved > NOISE ? ` ${up}` : moved < 1 / NOISE ? ` ${down}` : ''}` : '',
    ];
  });
  const head = ['suite', 'figure', 'measured', 'wanted ≤', 'held', 'floor of this run', 'last run'];
  const widths = head.map((title, at) => Math.max(title.length, ...rows.map((row) => row[at].length)));
  console.log(
    `\n${[head, ...rows].map((row) => row.map((cell, at) => cell.padEnd(widths[at])).join('  ')).join('\n')}`,
  );
  if (last) console.log(`\nThe last run: ${last.at}.`);
  mkdirSync(KEPT, { recursive: true });
  // What this run did not measure stays as it was last seen.
  const measured = new Set(figures.map(({ suite, what }) => `${suite}/${what}`));
  const kept = [...before].filter(([key]) => !measured.has(key)).map(([, figure]) => figure);
  writeFileSync(
    LAST,
    `${JSON.stringify({ at: new Date().toISOString(), figures: [...figures, ...kept] }, null, 2)}\n`,
  );
  const notHeld = figures.filter((figure) => isHeld(figure) === false).length;
  console.log(`${figures.length} figures, ${notHeld} not as wanted; as JSON in .bench/last.json`);
}

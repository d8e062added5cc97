/** Powers of ten that a double holds exactly. */
const TEN_TO = Array.from({ length: 16 }, (_, power) => 10 ** power);
const [ZERO, NINE, MINUS] = [48, 57, 45];

/**
 * Reads rows of numbers, one after the other into the same place. A table of numbers has no quotes. Up to fifteen digits are read
 * digit by digit: both their whole number and the power of ten that divides it are exact, so that the quotient is the nearest double,
 * the same as of `Number` (Clinger 1990, fast path, from memory); whatever is written otherwise goes to `Number` itself.
 */
export class NumberRow {
  readonly values: Float64Array;
  private readonly mark: number;
  private readonly point: number;

  constructor(
    columns: number,
    private readonly delimiter: string,
  ) {
    this.values = new Float64Array(columns);
    this.mark = delimiter.charCodeAt(0);
    this.point = (delimiter === ';' ? ',' : '.').charCodeAt(0);
  }

  /** How many cells the row has, and the first of them that is no number. */
  read(line: string): { values: Float64Array; cells: number; bad: { at: number; text: string } | null } {
    let bad: { at: number; text: string } | null = null;
    let cells = 0;
    for (let from = 0; from <= line.length; cells += 1) {
      const { value, to } = this.cell(line, from);
      // An empty cell would count as 0.
      if (bad === null && !(Number.isFinite(value) && (value !== 0 || line.slice(from, to).trim() !== '')))
        bad = { at: cells, text: line.slice(from, to) };
      this.values[cells] = value;
      from = to + 1;
    }
    return { values: this.values, cells, bad };
  }

  private cell(line: string, from: number): { value: number; to: number } {
    let whole = 0;
    let digits = 0;
    let decimals = -1;
    let isPlain = true;
    let to = from;
    const isNegative = line.charCodeAt(from) === MINUS;
    if (isNegative) to += 1;
    for (; to < line.length; to += 1) {
      const code = line.charCodeAt(to);
      if (code === this.mark) break;
      if (code >= ZERO && code <= NINE) {
        whole = whole * 10 + code - ZERO;
        digits += 1;
        if (decimals >= 0) decimals += 1;
      } else if (code === this.point && decimals < 0) decimals = 0;
      else isPlain = false;
    }
    if (isPlain && digits > 0 && digits < TEN_TO.length) {
      const size = decimals > 0 ? whole / TEN_TO[decimals]! : whole;
      return { value: isNegative ? -size : size, to };
    }
    const text = line.slice(from, to);
    return { value: Number(this.delimiter === ';' ? text.replace(',', '.') : text), to };
  }
}

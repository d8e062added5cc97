/**
 * Offsets as a family tree: makers around zero, a maker's models around the maker, a model's versions around the model.
 * All Gaussian, so the posterior is exact: evidence is summed up from the versions to the maker, then handed down again.
 */

/** Standard deviations between relatives, mm. */
export interface FamilySpread {
  /** Of makers around zero. */
  maker: number;
  /** Of a maker's models around the maker. */
  model: number;
  /** Of a model's versions around the model. */
  version: number;
}

/** A version in its family. */
export interface FamilyMember {
  model: string;
  maker: string;
}

/** Versions by their place in a list, under their models, under their makers. */
type Family = readonly (readonly (readonly number[])[])[];

/** Families in the order in which they are first met. */
export function familiesOf(members: readonly FamilyMember[]): Family {
  const makers = new Map<string, Map<string, number[]>>();
  for (const [at, { maker, model }] of members.entries()) {
    const models = makers.get(maker) ?? new Map<string, number[]>();
    makers.set(maker, models);
    const line = models.get(model);
    if (line) line.push(at);
    else models.set(model, [at]);
  }
  return [...makers.values()].map((models) => [...models.values()]);
}

/** What was seen of each version, by its place: a mean with its precision (1 / variance); precision 0 is nothing seen. */
export interface Evidence {
  mean: Float64Array;
  precision: Float64Array;
}

/** Mean and variance of each version, by its place. */
export interface OffsetPosterior {
  mean: Float64Array;
  variance: Float64Array;
}

/** Information seen from a relative that lies a standard deviation away: its precision there. */
const through = (precision: number, spread: number): number =>
  precision <= 0 ? 0 : 1 / (1 / precision + spread ** 2);
/** Precision-weighted mean that has passed on with `passed` of its precision. */
const weightedThrough = (weighted: number, precision: number, passed: number): number =>
  precision <= 0 ? 0 : (weighted / precision) * passed;

/**
 * Posterior of every version. Relatives without a fitting of their own follow their family; with nothing seen anywhere all stay at
 * zero with the family's whole spread. Information adds up as precision and precision-weighted mean; it is kept in flat arrays, because
 * thousands of versions are asked several times over.
 */
export function offsetPosterior(
  families: Family,
  { mean, precision }: Evidence,
  spread: FamilySpread,
): OffsetPosterior {
  const result = { mean: new Float64Array(mean.length), variance: new Float64Array(mean.length) };
  const ofMaker = 1 / spread.maker ** 2;
  for (const lines of families) {
    // Up: what the versions of each line tell of it, and the lines of their maker.
    const [linePrecision, lineWeighted] = [new Float64Array(lines.length), new Float64Array(lines.length)];
    let makerPrecision = 0;
    let makerWeighted = 0;
    for (const [line, versions] of lines.entries()) {
      for (const at of versions) {
        const passed = through(precision[at]!, spread.version);
        linePrecision[line]! += passed;
        lineWeighted[line]! += weightedThrough(precision[at]! * mean[at]!, precision[at]!, passed);
      }
      const passed = through(linePrecision[line]!, spread.model);
      makerPrecision += passed;
      makerWeighted += weightedThrough(lineWeighted[line]!, linePrecision[line]!, passed);
    }
    makerPrecision = ofMaker + makerPrecision;
    // Down: to each what the others tell, without its own word.
    for (const [line, versions] of lines.entries()) {
      const upPrecision = linePrecision[line]!;
      const upWeighted = lineWeighted[line]!;
      const own = through(upPrecision, spread.model);
      const others = makerPrecision - own;
      const otherWeighted = makerWeighted - weightedThrough(upWeighted, upPrecision, own);
      const down = through(others, spread.model);
      const modelPrecision = down + upPrecision;
      const modelWeighted = weightedThrough(otherWeighted, others, down) + upWeighted;
      for (const at of versions) {
        const seen = precision[at]! * mean[at]!;
        const passed = through(precision[at]!, spread.version);
        const rest = modelPrecision - passed;
        const restWeighted = modelWeighted - weightedThrough(seen, precision[at]!, passed);
        const handed = through(rest, spread.version);
        const whole = handed + precision[at]!;
        result.mean[at] = (weightedThrough(restWeighted, rest, handed) + seen) / whole;
        result.variance[at] = 1 / whole;
      }
    }
  }
  return result;
}

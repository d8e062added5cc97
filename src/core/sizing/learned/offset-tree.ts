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

/** What was seen of one version: a mean with its precision (1 / variance); precision 0 is nothing seen. */
export interface VersionEvidence {
  id: string;
  model: string;
  maker: string;
  mean: number;
  precision: number;
}

export interface Gaussian {
  mean: number;
  variance: number;
}

export interface OffsetPosterior {
  versions: ReadonlyMap<string, Gaussian>;
  models: ReadonlyMap<string, Gaussian>;
  makers: ReadonlyMap<string, Gaussian>;
}

/** Information form: precision and precision-weighted mean; they add up. */
interface Information {
  precision: number;
  weighted: number;
}
const NOTHING: Information = { precision: 0, weighted: 0 };
const plus = (a: Information, b: Information): Information => ({
  precision: a.precision + b.precision,
  weighted: a.weighted + b.weighted,
});
const minus = (a: Information, b: Information): Information => ({
  precision: a.precision - b.precision,
  weighted: a.weighted - b.weighted,
});
/** The same information seen from a relative that lies a standard deviation away. */
function through({ precision, weighted }: Information, spread: number): Information {
  if (precision <= 0) return NOTHING;
  const passed = 1 / (1 / precision + spread ** 2);
  return { precision: passed, weighted: (weighted / precision) * passed };
}
const gaussian = ({ precision, weighted }: Information): Gaussian => ({
  mean: weighted / precision,
  variance: 1 / precision,
});

interface Branch<Child> {
  children: Map<string, Child>;
  up: Information;
}

/**
 * Posterior of every version, model and maker. Relatives without a fitting of their own follow their family; with
 * nothing seen anywhere all stay at zero with the family's whole spread.
 */
export function offsetPosterior(evidence: readonly VersionEvidence[], spread: FamilySpread): OffsetPosterior {
  const tree = new Map<string, Branch<Branch<Information>>>();
  for (const { id, model, maker, mean, precision } of evidence) {
    const family: Branch<Branch<Information>> = tree.get(maker) ?? { children: new Map(), up: NOTHING };
    tree.set(maker, family);
    const line: Branch<Information> = family.children.get(model) ?? { children: new Map(), up: NOTHING };
    family.children.set(model, line);
    line.children.set(id, { precision, weighted: precision * mean });
  }
  const result = {
    versions: new Map<string, Gaussian>(),
    models: new Map<string, Gaussian>(),
    makers: new Map<string, Gaussian>(),
  };
  const prior: Information = { precision: 1 / spread.maker ** 2, weighted: 0 };
  for (const [makerId, family] of tree) {
    for (const line of family.children.values()) {
      for (const seen of line.children.values()) line.up = plus(line.up, through(seen, spread.version));
      family.up = plus(family.up, through(line.up, spread.model));
    }
    const maker = plus(prior, family.up);
    result.makers.set(makerId, gaussian(maker));
    for (const [modelId, line] of family.children) {
      const fromMaker = through(minus(maker, through(line.up, spread.model)), spread.model);
      const model = plus(fromMaker, line.up);
      result.models.set(modelId, gaussian(model));
      for (const [id, seen] of line.children) {
        const fromModel = through(minus(model, through(seen, spread.version)), spread.version);
        result.versions.set(id, gaussian(plus(fromModel, seen)));
      }
    }
  }
  return result;
}

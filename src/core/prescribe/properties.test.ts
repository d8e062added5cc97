import { generatedPatients as patients } from '@tests/fixtures/generated-findings';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoModels } from '@/demo/models';
import { random } from '@/demo/random';
import type { ShoeModel } from '../catalogue/model';
import { clinicalPicture } from '../examination/clinical-picture';
import { enteredPicture, type Findings } from '../findings/picture';
import { candidatesOf, obtainable, proposeFrom } from '../match/candidates';
import { dissimilarity, feelDifference } from '../match/feel';
import { rank } from '../match/rank';
import { isInside, standingOf } from '../match/standing';
import { findingsForPair, pairsAskedFor } from '../purpose/pairs';
import { usesServing } from '../purpose/serves';
import { fail } from '../result/result';
import { suggestedWarnings } from '../safety/suggested-warnings';
import type { sizePair } from '../sizing/size-pair';
import { resolve } from './engine/resolve';
import { activePushes, type Specification, type Target } from './engine/specification';
import { utilityAt } from './engine/utility';
import { isFirm } from './explain/in-words';

/** As many invented patients as each property is held against; a failure is shrunk to the fewest findings. */
const PATIENTS = 2000;
const many = { numRuns: PATIENTS, seed: 20_261_125 };

/** Every third model of the demo: each kind is there, and thousands of rankings stay quick. */
const catalogue: readonly ShoeModel[] = obtainable(demoModels(random(7))).filter((_, at) => at % 3 === 0);
const byId = new Map(catalogue.map((model) => [model.id, model]));
const unsized: ReturnType<typeof sizePair> = fail('not-measured', '');

/** Asks nothing of the test runner while all is well: it is asked hundreds of thousands of times. */
const must = (holds: boolean, what: () => string): void => {
  if (!holds) throw new Error(what());
};

/** Remembers what it said of the same findings. */
function memoized<V>(of: (findings: Findings) => V): (findings: Findings) => V {
  const known = new Map<string, V>();
  return (findings) => {
    const key = JSON.stringify(findings);
    const there = known.get(key) ?? of(findings);
    known.set(key, there);
    return there;
  };
}

/** Each pair that a patient asks for, resolved. The same patients come to more than one property. */
const pairsOf = memoized((findings: Findings) => {
  const pairs = pairsAskedFor(enteredPicture(findings));
  return pairs.map((pair) => ({
    pair,
    specification: resolve(clinicalPicture(findingsForPair(findings, pair, pairs))),
  }));
});
/** The whole picture of a patient, resolved. */
const wholeOf = memoized((findings: Findings) => resolve(clinicalPicture(findings)));
const allTargets = ({ targets, feet }: Specification): Target[] => [...targets, ...feet.left, ...feet.right];

describe(`over ${PATIENTS} invented patients`, { timeout: 120_000 }, () => {
  it('no proposed model is for another use, breaks a limit or lies outside a firm target; a wait proposes nothing', () => {
    const tally = { pairs: 0, proposed: [0, 0, 0, 0] };
    fc.assert(
      fc.property(patients, (findings) => {
        for (const { pair, specification } of pairsOf(findings)) {
          const { ranked } = rank(catalogue, specification);
          const { usable } = candidatesOf(ranked, byId, () => unsized);
          // Nothing in the whole list is for another purpose.
          for (const { model } of usable)
            for (const activity of pair.activities)
              must(
                usesServing(activity).some((use) => use === model.features.use),
                () => `${model.name} for ${activity}`,
              );
          const { proposals, because } = proposeFrom(usable, byId, specification);
          tally.pairs += 1;
          tally.proposed[proposals.length]! += 1;
          must(proposals.length === 3 || because.length > 0, () => 'fewer than three without a reason');
          const waits = specification.targets.some(({ awaits }) =>
            awaits.some(({ strength }) => strength === 'limit'),
          );
          must(!waits || proposals.length === 0, () => 'proposed while a limit waits');
          for (const { id } of proposals) {
            const model = byId.get(id)!;
            must(
              standingOf(model, specification).provisional.length === 0,
              () => `${model.name} is provisional`,
            );
            for (const target of specification.targets) {
              const value = model.features[target.feature];
              if (value === undefined || target.feature === 'toeRoom') continue;
              if (target.awaits.length === 0 && isFirm(target))
                must(isInside(target, value, 'as measured'), () => `${model.name} misses ${target.feature}`);
            }
          }
          // Those that are proposed differ as they say: no two feel alike.
          for (const [at, one] of proposals.entries())
            for (const other of proposals.slice(at + 1))
              expect(
                dissimilarity(feelDifference(byId.get(one.id)!.features, byId.get(other.id)!.features)),
              ).toBeGreaterThanOrEqual(1.5);
        }
      }),
      many,
    );
    console.info(`Pairs asked for: ${tally.pairs}; with 0, 1, 2, 3 proposed: ${tally.proposed.join(', ')}.`);
    expect(tally.proposed[3]).toBeGreaterThan(0);
  });

  it('no band reaches beyond what pulled it or what limits leave', () => {
    fc.assert(
      fc.property(patients, (findings) => {
        for (const { specification } of pairsOf(findings))
          for (const target of allTargets(specification)) {
            if (target.kind !== 'band') continue;
            const { best, band } = target;
            const say = () => `${target.feature}: ${best} in ${band.from}–${band.to}`;
            must(best >= band.from && best <= band.to, say);
            const pulls = activePushes(target).filter(({ strength }) => strength !== 'limit');
            const heaviest = Math.max(0, ...pulls.map(({ weight }) => weight));
            const binding = pulls.filter(({ weight }) => weight >= Math.max(0.5, heaviest / 2));
            for (const end of [target.band.from, target.band.to]) {
              for (const limit of activePushes(target))
                if (limit.strength === 'limit' && specification.deadlocks.length === 0)
                  must(utilityAt(limit.want, end) === 1, say);
              if (binding.length === 0 || end === target.best) continue;
              const bands = binding.flatMap(({ want }) => ('band' in want ? [want.band] : []));
              if (bands.length < binding.length) continue;
              must(end >= Math.min(best, ...bands.map(({ from }) => from)), say);
              must(end <= Math.max(best, ...bands.map(({ to }) => to)), say);
            }
          }
      }),
      many,
    );
  });

  it('a missing amount always asks, first of all, and its target says so', () => {
    let waited = 0;
    fc.assert(
      fc.property(patients, (findings) => {
        const specification = wholeOf(findings);
        const awaited = allTargets(specification).flatMap(({ awaits }) => awaits);
        const first = specification.open.filter(({ lacksAmount }) => lacksAmount);
        must(
          specification.open.slice(0, first.length).every(({ lacksAmount }) => lacksAmount),
          () => 'something else comes first',
        );
        const asked = first.map(({ finding }) => finding).toSorted();
        const amounts = [...new Set(awaited.map(({ amount }) => amount))].toSorted();
        must(asked.join() === amounts.join(), () => `${asked.join()} asked, ${amounts.join()} awaited`);
        waited += awaited.length > 0 ? 1 : 0;
      }),
      many,
    );
    expect(waited).toBeGreaterThan(100);
  });

  it('adding a danger never loosens a limit nor removes a warning', () => {
    const dangers: Findings[] = [
      { left: { sensation: 'lost' } },
      { left: { pulses: 'absent' } },
      { left: { injuries: ['foot-ulcer'] } },
      { body: { conditions: ['diabetes'] } },
    ];
    const with_ = (findings: Findings, danger: Findings): Findings => {
      const union = (a: readonly string[] | undefined, b: readonly string[] | undefined) =>
        b ? [...new Set([...(a ?? []), ...b])] : a;
      const { conditions } = danger.body ?? {};
      const { injuries, ...left } = danger.left ?? {};
      return {
        body: {
          ...findings.body,
          ...(conditions
            ? { conditions: union(findings.body?.conditions, conditions) as typeof conditions }
            : {}),
        },
        left: {
          ...findings.left,
          ...left,
          ...(injuries ? { injuries: union(findings.left?.injuries, injuries) as typeof injuries } : {}),
        },
        right: { ...findings.right },
      };
    };
    const limitsOf = (findings: Findings) =>
      new Set(
        wholeOf(findings).targets.flatMap((target) =>
          activePushes(target).flatMap(({ rule, strength }) =>
            strength === 'limit' ? [`${rule} ${target.feature}`] : [],
          ),
        ),
      );
    const signsOf = (findings: Findings) =>
      new Set(
        suggestedWarnings(clinicalPicture(findings), { marks: [], ankle: undefined }).map(
          ({ sign, side }) => `${sign} ${side ?? ''}`,
        ),
      );
    fc.assert(
      fc.property(patients, (findings) => {
        // The same patients as above, each with one of the dangers.
        const danger = dangers[JSON.stringify(findings).length % dangers.length]!;
        const worse = with_(findings, danger);
        const [before, after] = [limitsOf(findings), limitsOf(worse)];
        // Only the refusal of a therapeutic shoe gives way: it is what the danger asks for.
        for (const limit of before)
          must(limit.startsWith('therapeutic-only-when-asked') || after.has(limit), () => limit);
        const signs = signsOf(worse);
        for (const sign of signsOf(findings)) must(signs.has(sign), () => sign);
      }),
      many,
    );
  });
});

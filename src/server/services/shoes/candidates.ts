import type { z } from 'zod';
import type { shoes } from '@/contract/shoes';
import { filterModels } from '@/core/catalogue/filter';
import { modelTitle } from '@/core/catalogue/model';
import { mergeFindings } from '@/core/findings/merge';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { fittedFeet } from '@/core/fitting/push-off';
import { readSession } from '@/core/fitting/session';
import { findingsOfBefore } from '@/core/history/before';
import { candidatesOf, obtainable, proposeFrom } from '@/core/match/candidates';
import { kinshipInWords, lineageOf } from '@/core/match/lineage';
import { moreLikeThis } from '@/core/match/more-like';
import { onFootReader, standing } from '@/core/match/on-foot';
import { rank, reasonsFor } from '@/core/match/rank';
import { resolve } from '@/core/prescribe/engine/resolve';
import { type OnFoot, prostheticFootOf, verdictOnFoot } from '@/core/prosthesis/on-this-foot';
import { LIMITS_OF_USE } from '@/core/safety/cautions';
import { offsetInWords } from '@/core/sizing/learned/offset-in-words';
import { pairSizer } from '@/core/sizing/size-pair';
import type { Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { houseSettingsOf } from '../pairs/house-settings';
import { readCalculation } from '../visits/calculations';
import { listModels } from './models';

type Body<K extends keyof typeof shoes> = (typeof shoes)[K] extends { body?: infer B }
  ? B extends z.ZodType
    ? z.infer<B>
    : never
  : never;

/** The clinic's catalogue against a picture. */
async function fitted(
  tenant: Tenant,
  { conditions, before = [], ...body }: Body<'candidates'> | Body<'moreLike'> | Body<'fitAdvice'>,
) {
  const findings = mergeFindings([findingsOfBefore(before), body.findings]);
  const { picture, options } = await readCalculation(tenant, { ...body, findings });
  const specification = resolve(picture, options);
  const group = picture.body.sizingGroup;
  const catalogue = await listModels(tenant);
  const lineage = lineageOf(catalogue, before);
  const { matching, unknown } = filterModels(catalogue, {
    ...(group === NOT_EXAMINED ? {} : { group }),
    ...('mostPrice' in body && body.mostPrice !== undefined ? { mostPrice: body.mostPrice } : {}),
  });
  const models = [...matching, ...unknown];
  const foot = prostheticFootOf(picture);
  const stand = foot && { foot, tolerance: (await houseSettingsOf(tenant)).prosthesis };
  return {
    specification,
    models: new Map(models.map((model) => [model.id, model])),
    // A model that is gone is no candidate, but may still have been tried.
    feet: fittedFeet(picture),
    lineage,
    ranking: standing(rank(obtainable(models), specification, lineage), models, stand),
    onFoot: onFootReader(stand),
    sizeOf: pairSizer(picture, specification, conditions),
  };
}

export async function rankCandidates(tenant: Tenant, body: Body<'candidates'>) {
  const { specification, models, ranking, lineage, onFoot, sizeOf } = await fitted(tenant, body);
  const { usable, noSize } = candidatesOf(ranking.ranked, models, sizeOf);
  const shown = body.inStockOnly ? usable.filter(({ onShelf }) => onShelf > 0) : usable;
  const trial = proposeFrom(shown, models, specification, onFoot);
  return {
    candidates: shown.slice(0, body.limit).map(({ entry, model, pair, onShelf }) => ({
      ...entry,
      title: modelTitle(model),
      size: pair && { ...pair, inStock: onShelf },
      fit: model.learned && offsetInWords('length', model.learned.length),
      onFoot: onFoot && footAnswer(onFoot(model)),
      kinship: lineage.has(model.id) ? kinshipInWords(lineage.get(model.id)!) : null,
      reasons: reasonsFor(model, specification),
    })),
    toTry: trial.proposals,
    fewerBecause: trial.because,
    excluded: ranking.excluded.map((entry) => ({ ...entry, title: modelTitle(models.get(entry.id)!) })),
    noSize: noSize.map(({ model, message }) => ({ id: model.id, title: modelTitle(model), message })),
    limitsOfUse: LIMITS_OF_USE,
  };
}

export async function moreLike(tenant: Tenant, body: Body<'moreLike'>) {
  const { models, ranking } = await fitted(tenant, body);
  const like = models.get(body.model);
  if (!like) throw notFound('This model');
  return {
    models: moreLikeThis(body.but, like, ranking.ranked, models).map((entry) => ({
      ...entry,
      title: modelTitle(models.get(entry.id)!),
    })),
  };
}

/** How a shoe stands on the prosthetic foot, as the answer says it. */
const footAnswer = (on: OnFoot) => ({
  verdict: verdictOnFoot(on),
  riseMm: on.riseMm,
  leanDeg: on.shank?.angleDeg ?? null,
  wedgeMm: on.shank?.wedgeMm ?? null,
  says: [...(on.shank ? [on.shank.sentence] : []), ...on.checks],
});

/** Advice on every pair of a fitting, where the fitting stands, and what to try next. */
export async function adviseOnFit(tenant: Tenant, { tryOns, feltBefore, ...body }: Body<'fitAdvice'>) {
  const { specification, models, ranking, feet, sizeOf } = await fitted(tenant, { ...body, tryOns });
  const { pairs, outcome, next, fallbacks } = readSession({
    tryOns,
    brought: tryOns.map(({ model }) => model),
    specification,
    ranked: ranking.ranked,
    models,
    sizeOf,
    feet,
    before: feltBefore,
  });
  return {
    advice: pairs.map(({ tryOn, advice, letter }) => ({ model: tryOn.model, letter, advice })),
    outcome,
    next,
    fallbacks,
    limitsOfUse: LIMITS_OF_USE,
  };
}

import type { z } from 'zod';
import type { shoes } from '@/api/shoes';
import { modelTitle, type ShoeModel, stockOf } from '@/core/match/model';
import { moreLikeThis } from '@/core/match/more-like';
import { proposeTrial, worthTrying } from '@/core/match/propose';
import { type Ranking, rank, reasonsFor } from '@/core/match/rank';
import type { ClinicalPicture } from '@/core/picture/clinical-picture';
import { resolve } from '@/core/prescribe/resolve';
import type { Specification } from '@/core/prescribe/specification';
import { LIMITS_OF_USE } from '@/core/safety/cautions';
import { offsetInWords } from '@/core/sizing/learned/learn-offsets';
import { type SizedPair, sizePair } from '@/core/sizing/size-pair';
import { roomWished } from '@/core/sizing/size-wish';
import { fitAdvice } from '@/core/tryon/fit-advice';
import { nextGuess } from '@/core/tryon/next-guess';
import { fittingOutcome } from '@/core/tryon/outcome';
import { isOnShelf, waysOut } from '@/core/tryon/ways-out';
import type { Tenant } from '../database/tenant';
import { notFound } from '../http/problem';
import { asked } from './calculations';
import { listModels } from './models';

type Body<K extends keyof typeof shoes> = (typeof shoes)[K] extends { body?: infer B }
  ? B extends z.ZodType
    ? z.infer<B>
    : never
  : never;

interface Fitted {
  picture: ClinicalPicture;
  specification: Specification;
  models: Map<string, ShoeModel>;
  ranking: Ranking;
  sizes: (model: ShoeModel) => ReturnType<typeof sizePair>;
}

/** The clinic's catalogue against a picture. */
async function fitted(
  tenant: Tenant,
  { conditions, ...body }: Body<'candidates'> | Body<'moreLike'> | Body<'fitAdvice'>,
): Promise<Fitted> {
  const [picture, options] = await asked(tenant, body);
  const specification = resolve(picture, options);
  const group = picture.body.sizingGroup;
  const models = (await listModels(tenant)).filter(
    (model) => model.sizing.group === group || typeof group !== 'string' || group === 'not-examined',
  );
  return {
    picture,
    specification,
    models: new Map(models.map((model) => [model.id, model])),
    ranking: rank(models, specification),
    sizes: (model) => sizePair(model.sizing, picture, specification, conditions),
  };
}

const stockFor = (model: ShoeModel, pair: SizedPair): number =>
  Math.min(
    ...[pair.left, pair.right].flatMap((side) => (side ? [stockOf(model, side.size, side.width)] : [])),
  );

export async function rankCandidates(tenant: Tenant, body: Body<'candidates'>) {
  const { specification, models, ranking, sizes } = await fitted(tenant, body);
  const candidates = ranking.ranked.flatMap((entry) => {
    const model = models.get(entry.id)!;
    const sized = sizes(model);
    const pair = sized.ok ? sized.value : null;
    // A foot that nobody measured excludes nothing; a size that is not made does.
    if (!sized.ok && sized.problem.code !== 'not-measured') return [];
    if (body.inStockOnly && (!pair || !isOnShelf(model, pair))) return [];
    return [{ entry, model, pair }];
  });
  const usable = candidates.map(({ entry }) => entry);
  return {
    candidates: candidates.slice(0, body.limit).map(({ entry, model, pair }) => ({
      ...entry,
      title: modelTitle(model),
      size: pair && { ...pair, inStock: stockFor(model, pair) },
      fit: model.learned && offsetInWords('length', model.learned.length),
      reasons: reasonsFor(model, specification),
    })),
    toTry: proposeTrial(usable, models),
    excluded: ranking.excluded.map((entry) => ({ ...entry, title: modelTitle(models.get(entry.id)!) })),
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

/** Advice on every pair of a fitting, where the fitting stands, and what to try next. */
export async function adviseOnFit(tenant: Tenant, body: Body<'fitAdvice'>) {
  const { specification, models, ranking, sizes } = await fitted(tenant, body);
  const room = roomWished(specification);
  const others = worthTrying(ranking.ranked).flatMap(({ id }) => models.get(id) ?? []);
  const tried = body.tryOns.map((tryOn) => ({
    tryOn,
    context: { room, model: models.get(tryOn.model), others },
  }));
  const outcome = fittingOutcome(tried);
  return {
    advice: tried.map(({ tryOn, context }) => ({ model: tryOn.model, advice: fitAdvice(tryOn, context) })),
    outcome,
    next: nextGuess(body.tryOns, ranking.ranked, models),
    waysOut: outcome.nothingFits
      ? waysOut(ranking.ranked, models, sizes, new Set(body.tryOns.map(({ model }) => model)))
      : [],
    limitsOfUse: LIMITS_OF_USE,
  };
}

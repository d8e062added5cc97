// The catalogue in the core: filter and rank 10,000 models as the worker does, lay four side by side, size them.

import { filterModels } from '@/core/catalogue/filter';
import { clinicalPicture } from '@/core/examination/clinical-picture';
import { compareModels } from '@/core/match/compare';
import { moreLikeThis } from '@/core/match/more-like';
import { proposeTrial } from '@/core/match/propose';
import { rank } from '@/core/match/rank';
import { resolve } from '@/core/prescribe/engine/resolve';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import type { FitObservation } from '@/core/sizing/learned/fit-evidence';
import { byVersion, learnOffsets, OffsetLearner } from '@/core/sizing/learned/learn-offsets';
import { pairSizer, sizePair } from '@/core/sizing/size-pair';
import { demoModels } from '@/demo/models';
import { random } from '@/demo/random';
import { type Figure, say, timed } from '../timed';

const models = Array.from({ length: 40 }, (_, seed) => demoModels(random(seed + 1)))
  .flat()
  .slice(0, 10_000);
const byId = new Map(models.map((model) => [model.id, model]));
const foot = { footLength: 264, ballWidth: 101, pain: ['plantar-heel'] };
const picture = clinicalPicture({
  body: { activities: ['walking'], ageYears: 68, sizingGroup: 'men', bodyMass: 84 },
  left: { ...foot, pain: ['plantar-heel'] },
  right: { ...foot, pain: [] },
});
const specification = resolve(picture);
const query = { features: [{ feature: 'drop', from: 2, to: 14 }], status: 'current' } as const;
const filterAndRank = () => {
  const { matching, unknown } = filterModels(models, query);
  return rank([...matching, ...unknown], specification);
};
const { ranked } = filterAndRank();
const figure = (what: string, value: number, more: Partial<Figure> = {}) =>
  say({ what, value, unit: 'ms', ...more });
const sorted = {
  what: '10,000 numbers sorted',
  value: timed(() => models.map((_, at) => (at * 7919) % 10_007).sort((a, b) => a - b), 25),
};
figure(`filter and rank ${models.length} models, ${ranked.length} left`, timed(filterAndRank, 25), {
  wanted: 60,
  floor: sorted,
});
figure(
  'filter and rank all of them',
  timed(() => rank(filterModels(models, {}).matching, specification), 25),
  { wanted: 60, floor: sorted },
);
const many = Array.from({ length: 5 }, (_, copy) =>
  models.map((model) => ({ ...model, id: `${model.id}-${copy}` })),
).flat();
figure(
  `rank ${many.length} models`,
  timed(() => rank(many, specification), 9),
  { wanted: 200 },
);
const four = models.slice(0, 4);
figure(
  'four models compared, with their profiles',
  timed(() => [compareModels(four, specification), four.map(({ features }) => sideProfile(features))], 50),
);
figure(
  'three proposed of them',
  timed(() => proposeTrial(ranked, byId), 15),
);
figure(
  'more like the best, but softer',
  timed(() => moreLikeThis('softer', byId.get(ranked[0]!.id)!, ranked, byId), 15),
);
figure(
  `both feet sized in ${models.length} models`,
  timed(() => models.map(pairSizer(picture, specification)), 15),
  {
    wanted: 80,
    floor: {
      what: 'each model sized by itself',
      value: timed(() => models.map((model) => sizePair(model, picture, specification)), 3),
    },
  },
);
const fittings = models.slice(0, 6000).map(
  (model, at): FitObservation => ({
    version: model.id,
    feet: [
      {
        size: model.sizing.sizes[8]!,
        width: model.sizing.widths[0]!,
        footLengthMm: 255 + (at % 20),
        ballWidthMm: 98,
        roomMm: 8 + (at % 9),
        widthFit: at % 7 === 0 ? 'tight' : 'right',
      },
    ],
  }),
);
figure(
  `offsets of ${models.length} models learned from ${fittings.length} fittings`,
  timed(() => learnOffsets(models, fittings), 7),
  { wanted: 400 },
);
const learner = new OffsetLearner(models);
learner.tell(byVersion(fittings));
/** Of the maker with the most fittings: what is worked out anew is theirs. */
const perMaker = new Map<string, FitObservation[]>();
for (const fitting of fittings) {
  const { maker } = byId.get(fitting.version)!;
  perMaker.set(maker, [...(perMaker.get(maker) ?? []), fitting]);
}
const [[busiest, theirs]] = [...perMaker].sort(([, a], [, b]) => b.length - a.length) as [
  [string, FitObservation[]],
];
const asked = models.filter(({ maker }) => maker === busiest).slice(0, 4);
let come = 0;
/** One fitting more, and what is known then of some models. */
const oneMore = (of: typeof models) => () => {
  come = (come + 1) % theirs.length;
  const fitting = theirs[come]!;
  const more = { ...fitting, feet: [...fitting.feet, ...fitting.feet] };
  learner.tell(new Map([[fitting.version, [fitting, more]]]));
  const learned = learner.learned();
  return of.map(({ id }) => learned.get(id));
};
figure(
  `offsets of ${models.length} models with one fitting more of a maker that has ${theirs.length}, asked of four`,
  timed(oneMore(asked), 60),
  { wanted: 5 },
);
figure('the same, asked of all of them', timed(oneMore(models), 30), {
  floor: { what: 'learned at once', value: timed(() => learnOffsets(models, fittings), 5) },
});

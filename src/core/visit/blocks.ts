import { dayOf } from '../calendar/days';
import type { ClinicalPicture } from '../findings/picture';
import { handOverBlocks } from '../fitting/hand-over-blocks';
import type { TryOn } from '../fitting/try-on';
import { modificationProblem } from '../modification/modification';
import type { Specification } from '../prescribe/engine/specification';
import { limbStops } from '../prosthesis/limb-stops';
import type { OpenWarning } from '../safety/warning-signs';
import { featureOf } from '../shoe/features';
import type { VisitContents } from './contents';
import type { IssuedPair, VisitFacts } from './examined';
import type { ChosenModel } from './read-visit';
import type { SavedStep } from './steps';

export type BlockCode =
  | 'warning'
  | 'refused-decision'
  | 'deadlock'
  | 'issued-already'
  | 'no-pair'
  | 'model-gone'
  | 'model-unread'
  | 'pair'
  | 'starts-too-early'
  | 'lift-missing'
  | 'not-as-ordered';

/** One thing that stands between a visit and a hand-over. */
export interface VisitBlock {
  code: BlockCode;
  /** Where it is put right. */
  step: SavedStep;
  /** What it concerns within that step. */
  path: string[];
  message: string;
}

/** Whether it stands in the way of an order too: that starts later, and nobody can have looked yet at changes that are still to be made. */
export const blocksOrder = ({ step, code }: VisitBlock): boolean =>
  step !== 'hand-over' || code === 'lift-missing';

interface BlockInput {
  facts: Pick<VisitFacts, 'startedAt' | 'limb' | 'house'>;
  contents: VisitContents;
  picture: ClinicalPicture;
  specification: Specification;
  /** What was issued for the pair under work already. */
  issued: IssuedPair | null;
  warnings: readonly OpenWarning[];
  chosen: TryOn | null;
  model: ChosenModel;
}

/**
 * Everything that stands between a visit and a hand-over, warning signs first. Nothing is issued while there is any:
 * the screen lists the same as the server refuses.
 */
export function visitBlocks(input: BlockInput): VisitBlock[] {
  const { warnings, specification, issued } = input;
  if (issued)
    return [
      {
        code: 'issued-already',
        step: 'hand-over',
        path: [],
        message: 'This pair was handed over or ordered already.',
      },
    ];
  return [
    ...warnings.map(
      ({ sign, message }): VisitBlock => ({ code: 'warning', step: 'warnings', path: [sign], message }),
    ),
    ...refusedDecisions(specification),
    ...specification.deadlocks.map(
      ({ feature, message }): VisitBlock => ({ code: 'deadlock', step: 'reason', path: [feature], message }),
    ),
    ...pairBlocks(input),
    ...startBlocks(input),
    ...changeBlocks(input),
  ];
}

/** Decisions that a limit forbids: they are taken back, or the limit is set aside, before anything is issued. */
const refusedDecisions = ({ targets, feet }: Specification): VisitBlock[] =>
  [...targets, ...feet.left, ...feet.right].flatMap(({ feature, decision }) =>
    decision?.refused
      ? [
          {
            code: 'refused-decision',
            step: 'reason',
            path: [feature],
            message: `${featureOf(feature).label}: ${decision.refused}`,
          } as const,
        ]
      : [],
  );

function pairBlocks({ chosen, model, specification, picture, facts, contents }: BlockInput): VisitBlock[] {
  const onPair = (code: BlockCode, message: string): VisitBlock => ({
    code,
    step: 'try-on',
    path: [],
    message,
  });
  if (!chosen) return [onPair('no-pair', 'No tried pair has the verdict “chosen”.')];
  if (model === undefined) return [onPair('model-unread', 'The catalogue has not been read yet.')];
  if (model === null) return [onPair('model-gone', 'The chosen model is no longer in the catalogue.')];
  const changes = contents['hand-over']?.modifications ?? [];
  return [
    ...handOverBlocks(chosen, model, specification).map((message) => onPair('pair', message)),
    ...limbStops(chosen, model, changes, picture, facts).map(
      ({ at, message }): VisitBlock =>
        at === 'pair'
          ? onPair('pair', message)
          : { code: 'lift-missing', step: 'hand-over', path: ['modifications'], message },
    ),
  ];
}

/** A pair that was changed goes out once each change was looked at and measured. */
const changeBlocks = ({ contents }: BlockInput): VisitBlock[] =>
  (contents['hand-over']?.modifications ?? []).flatMap((modification, at) => {
    const message = modificationProblem(modification);
    return message
      ? [{ code: 'not-as-ordered', step: 'hand-over', path: ['modifications', String(at)], message } as const]
      : [];
  });

function startBlocks({ facts, contents }: BlockInput): VisitBlock[] {
  const startedOn = contents['hand-over']?.startedOn;
  if (startedOn === undefined || startedOn >= dayOf(facts.startedAt)) return [];
  return [
    {
      code: 'starts-too-early',
      step: 'hand-over',
      path: ['startedOn'],
      message: 'The pair cannot start before this visit.',
    },
  ];
}

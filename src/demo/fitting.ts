import { addDays } from '@/core/calendar/days';
import type { ShoeModel } from '@/core/catalogue/model';
import type { Side } from '@/core/findings/finding-kinds';
import { type ClinicalPicture, type Findings, greaterOf, numberAt } from '@/core/findings/picture';
import type { FootFit, TryOn } from '@/core/fitting/try-on';
import type { Modification } from '@/core/modification/modification';
import type { OrderEvent, OrderState } from '@/core/orders/order';
import type { Specification } from '@/core/prescribe/engine/specification';
import type { Activity } from '@/core/purpose/serves';
import { LOOSE_FROM_MM } from '@/core/sizing/learned/width-evidence';
import { sizePair } from '@/core/sizing/size-pair';
import { roomWished } from '@/core/sizing/size-wish';
import { insideLength, insideWidth, UPPER_GIVES_MM, widthFor } from '@/core/sizing/start-size';
import type { Choices } from '@/core/visit/contents';
import type { DemoModel } from './models';
import type { Persona } from './personas/persona';
import type { Random } from './random';

/** A pair that was chosen and ordered. */
export interface DemoOrder {
  purpose: Activity | null;
  findings: Findings;
  choices: Choices;
  specification: Specification;
  houseVersion: number;
  model: ShoeModel;
  size: string;
  tryOn: TryOn;
  modifications: Modification[];
  state: OrderState;
  arrivedOn: string | null;
  events: { event: OrderEvent | 'created'; on: string }[];
}

/** How far an order has come, with the days on which it moved. */
export function ordered(
  state: NonNullable<Persona['order']>,
  day: string,
  today: string,
): Pick<DemoOrder, 'state' | 'arrivedOn' | 'events' | 'modifications'> {
  const later = (days: number) => {
    const on = addDays(day, days);
    return on > today ? today : on;
  };
  const course = [
    { event: 'created' as const, on: day, state: 'wanted' as const },
    { event: 'place' as const, on: later(1), state: 'ordered' as const },
    { event: 'arrive' as const, on: later(9), state: 'arrived' as const },
    { event: 'pass' as const, on: later(10), state: 'checked' as const },
  ];
  const events = course.slice(0, course.findIndex((step) => step.state === state) + 1);
  return {
    state,
    arrivedOn: events.find(({ event }) => event === 'arrive')?.on ?? null,
    events: events.map(({ event, on }) => ({ event, on })),
    modifications: [{ kind: 'heel-lift', side: 'left', amount: 4 }],
  };
}

/** A fitting as it went: in the size that fits the true inside, with what was felt in it. */
export function triedOn(
  model: DemoModel,
  picture: ClinicalPicture,
  specification: Specification,
  random: Random,
): TryOn {
  const start = sizePair(model, picture, specification);
  if (!start.ok) return { model: model.id };
  const { least, wished } = roomWished(specification);
  const longer = greaterOf(picture, 'footLength')!;
  const inside = (size: number) => insideLength(model.sizing, size) + model.truth.lengthMm;
  const fitting = model.sizing.sizes.filter((size) => inside(size) - longer >= least);
  const size = (fitting.length > 0 ? fitting : model.sizing.sizes.slice(-1)).reduce((best, next) =>
    Math.abs(inside(next) - longer - wished) < Math.abs(inside(best) - longer - wished) ? next : best,
  );
  const wide = greaterOf(picture, 'ballWidth');
  const trueInside = { ...model.sizing, widthOffsetMm: model.truth.widthMm };
  const width = widthFor(trueInside, size, wide, 2);
  const foot = (side: Side): FootFit => {
    const lengthMm = numberAt(picture, 'footLength', side);
    const ballWidthMm = numberAt(picture, 'ballWidth', side);
    if (lengthMm === null) return {};
    const slack =
      insideWidth(trueInside, size, width) + UPPER_GIVES_MM - (ballWidthMm ?? 0) + random.int(-2, 2);
    return {
      roomMm: Math.max(least, Math.round(inside(size) - lengthMm + random.int(-2, 2))),
      heelSlip: random.chance(0.2) ? 'slight' : 'none',
      // Where even the widest is tight the fitter stretched it before the patient walked.
      ...(ballWidthMm === null || slack < 0
        ? {}
        : { widthFit: slack > LOOSE_FROM_MM ? ('loose' as const) : ('right' as const) }),
    };
  };
  return {
    model: model.id,
    sizeLeft: size,
    sizeRight: size,
    width,
    left: foot('left'),
    right: foot('right'),
  };
}

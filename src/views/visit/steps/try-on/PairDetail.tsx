import { lazy } from 'react';
import { paceInWords } from '@/core/examination/gait/differences';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { numberAt } from '@/core/findings/picture';
import { asksForPushOff } from '@/core/fitting/push-off';
import { COMFORT_ZONES, FEELS, TASKS } from '@/core/fitting/try-on';
import { keysOf, mapTable } from '@/core/tables/keys-of';
import { Choice } from '@/ui/fields/Choice';
import { ChoiceSet } from '@/ui/fields/ChoiceSet';
import { Measure } from '@/ui/fields/Measure';
import { Sections } from '@/ui/Sections';
import { useExamined } from '../../visit-context';
import { AdviceList } from './AdviceList';
import { COMFORT, FOOT_CHECKS, type FootCheck, ROOM } from './questions';
import type { FittedPair, FittingView } from './use-fitting';

const PressurePoints = lazy(() =>
  import('./PressurePoints').then((part) => ({ default: part.PressurePoints })),
);
const GaitClip = lazy(() => import('../../devices/GaitClip'));

interface Props {
  pair: FittedPair;
  fitting: FittingView;
}

/** One pair in detail: each foot checked, places marked, the real task, the clip, comfort by zone. */
export function PairDetail({ pair, fitting }: Props) {
  return (
    <section aria-label={`Checks of pair ${pair.letter}`} className="border-t border-rule pt-2">
      <Sections
        label={`Parts of the checks of pair ${pair.letter}`}
        parts={[
          {
            id: 'feet',
            title: `${pair.letter}: each foot`,
            content: (
              <div className="grid gap-4 xl:grid-cols-[1fr_15.5rem]">
                <FootChecks pair={pair} fitting={fitting} />
                <AdviceList pair={pair} fitting={fitting} />
              </div>
            ),
          },
          {
            id: 'points',
            title: 'Places',
            content: <PressurePoints pair={pair} fitting={fitting} />,
          },
          { id: 'tasks', title: 'Real task', content: <Tasks pair={pair} fitting={fitting} /> },
          {
            id: 'clip',
            title: 'Gait clip',
            content: <GaitClip wearing={`Pair ${pair.letter}`} />,
          },
          { id: 'comfort', title: 'Comfort', content: <Comfort pair={pair} fitting={fitting} /> },
        ]}
      />
    </section>
  );
}

const FEEL_LABELS = mapTable(FEELS, ({ label }) => label);

/** Both feet, side by side as the feet stand. */
function FootChecks({ pair, fitting }: Props) {
  const { tryOn, model } = pair;
  const { picture } = useExamined();
  const { changeFoot, typed } = fitting;
  const watchesPushOff = asksForPushOff(picture);
  const cell = (side: Side, check: FootCheck) => {
    const { label, options } = FOOT_CHECKS[check];
    return (
      <Choice<string>
        key={check}
        quiet
        label={`${label}, ${side}`}
        options={options}
        value={tryOn[side]?.[check]}
        onChange={(value) => changeFoot(model.id, side, { [check]: value })}
      />
    );
  };
  const room = (side: Side) => {
    const key = `${model.id}.${side}.roomMm`;
    return (
      <Measure
        quiet
        definition={ROOM}
        label={`${ROOM.label}, ${side}`}
        value={tryOn[side]?.roomMm}
        typed={typed[key]}
        onChange={(roomMm, text) => changeFoot(model.id, side, { roomMm }, { [key]: text })}
      />
    );
  };
  return (
    <div className="grid grid-cols-[1fr_6.5rem_1fr] gap-x-2 gap-y-1 items-center content-start">
      {SIDES.map((side, at) => (
        <h3 key={side} className={`capitalize ${at === 0 ? 'text-right' : 'col-start-3'}`}>
          {side} {numberAt(picture, 'footLength', side) ?? ''}
        </h3>
      ))}
      <Row label={ROOM.label} left={room('left')} right={room('right')} />
      {keysOf(FOOT_CHECKS)
        .filter((check) => check !== 'pushOff' || watchesPushOff)
        .map((check) => (
          <Row
            key={check}
            label={FOOT_CHECKS[check].label}
            left={cell('left', check)}
            right={cell('right', check)}
          />
        ))}
    </div>
  );
}

function Row({ label, left, right }: { label: string; left: React.ReactNode; right: React.ReactNode }) {
  return (
    <>
      <div className="flex justify-end">{left}</div>
      <span className="text-center text-faint text-sm" aria-hidden="true">
        {label}
      </span>
      <div>{right}</div>
    </>
  );
}

const SEEN = { 'moves-less': 'moves less', same: 'same', 'moves-more': 'moves more' };

/** What the shoes are for, done in them. */
function Tasks({ pair: { tryOn, model, letter }, fitting: { change } }: Props) {
  const { state } = useExamined();
  const { gait } = state.steps.move.content;
  const seen = gait?.filter(({ condition }) => condition === `Pair ${letter}`) ?? [];
  return (
    <div className="grid grid-cols-3 gap-x-5 gap-y-2">
      {keysOf(TASKS).map((task) => (
        <Choice
          key={task}
          label={TASKS[task]}
          options={{ good: 'good', fair: 'fair', poor: 'poor' }}
          value={tryOn.tasks?.[task]}
          onChange={(value) => {
            const { [task]: _, ...rest } = tryOn.tasks ?? {};
            const tasks = value === undefined ? rest : { ...rest, [task]: value };
            change(model.id, { tasks: Object.keys(tasks).length > 0 ? tasks : undefined });
          }}
        />
      ))}
      <Choice
        label="Seen walking, compared with barefoot"
        options={SEEN}
        value={tryOn.seen}
        onChange={(value) => change(model.id, { seen: value })}
      />
      <Choice
        label="Seen at speed, compared with barefoot"
        options={SEEN}
        value={tryOn.seenFast}
        onChange={(value) => change(model.id, { seenFast: value })}
      />
      <Choice
        label="Insert in"
        options={{ none: 'none', own: 'own', flat: 'flat' }}
        value={tryOn.insert}
        onChange={(value) => change(model.id, { insert: value })}
      />
      <p className="text-faint text-sm">
        {seen.length === 0
          ? 'No clip of this pair yet.'
          : seen
              .map(
                ({ side, event, angleDeg, ...tag }) => `${side}, ${paceInWords(tag)}, ${event}: ${angleDeg}°`,
              )
              .join('; ')}
      </p>
    </div>
  );
}

function Comfort({ pair: { tryOn, model }, fitting: { change, typed, readOnly } }: Props) {
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-5">
        {keysOf(COMFORT_ZONES).map((zone) => {
          const key = `${model.id}.zone.${zone}`;
          return (
            <Measure
              key={zone}
              definition={COMFORT}
              label={`Comfort at the ${COMFORT_ZONES[zone]}`}
              value={tryOn.zones?.[zone]}
              typed={typed[key]}
              onChange={(value, text) => {
                const { [zone]: _, ...rest } = tryOn.zones ?? {};
                const zones = value === undefined ? rest : { ...rest, [zone]: value };
                change(
                  model.id,
                  { zones: Object.keys(zones).length > 0 ? zones : undefined },
                  { [key]: text },
                );
              }}
            />
          );
        })}
      </div>
      <ChoiceSet
        label="Feels"
        options={FEEL_LABELS}
        value={tryOn.feels}
        onChange={(feels) => change(model.id, { feels })}
      />
      <label>
        <span className="block text-faint">Patient’s words</span>
        <input
          className="w-full"
          maxLength={600}
          disabled={readOnly}
          value={tryOn.words ?? ''}
          onChange={({ target }) => change(model.id, { words: target.value || undefined })}
        />
      </label>
    </div>
  );
}

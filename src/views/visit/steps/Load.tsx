import { lazy } from 'react';
import { readHypermobility } from '@/core/examination/posture/hypermobility';
import { degreesPerCentimetre } from '@/core/examination/posture/lunge';
import { POSTURE_ITEMS } from '@/core/examination/posture/six-items';
import { readDifference, realDifferenceOf } from '@/core/examination/real-difference';
import { EXAMINATION_SOURCES, markInWords } from '@/core/examination/sources';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { definitionOf, type FindingId } from '@/core/findings/findings';
import { NOT_EXAMINED, numberAt } from '@/core/findings/picture';
import { figureIn, UNIT_LABEL } from '@/core/units/parse';
import { drawOption } from '@/ui/drawing/option-pictures';
import { PostureDrawing } from '@/ui/drawing/PostureDrawing';
import { Sections } from '@/ui/Sections';
import { DerivedRow, DerivedRows } from '../DerivedRow';
import { BothFeet, FindingField } from '../FindingField';
import { Stopwatch } from '../timing/Stopwatch';
import { useFinding } from '../use-findings';
import { useExamined } from '../visit-context';
import { Guided } from './Guided';

const KneeBend = lazy(() => import('../devices/KneeBend'));

/** Loaded: watched, scored, measured, timed. */
export function Load() {
  return (
    <Sections
      label="Parts of the loaded examination"
      parts={[
        {
          id: 'watch',
          title: 'Watch',
          content: (
            <BothFeet
              ids={[
                'kneeBend',
                'heelsLiftEarly',
                'nightCramp',
                'archMobility',
                'archFlattening',
                'boneTender',
                'hopTest',
              ]}
              draw={drawOption}
            />
          ),
        },
        { id: 'knee', title: 'Knee bend', content: <KneeBend /> },
        { id: 'posture', title: 'Posture', content: <Posture /> },
        { id: 'arch', title: 'Arch under load', content: <ArchUnderLoad /> },
        { id: 'mobility', title: 'Mobility', content: <Mobility /> },
        { id: 'squat', title: 'Squat', content: <Squat /> },
        { id: 'strength', title: 'Strength and balance', content: <StrengthAndBalance /> },
      ]}
    />
  );
}

function Squat() {
  return (
    <div className="grid gap-4">
      <p className="text-faint max-w-prose">
        Barefoot and without load: flat, then with 10 and 20 mm under both heels. Better on a heel, with a
        small lunge, points to the ankle; better on a heel with a free ankle does not.
      </p>
      <div className="flex flex-wrap gap-x-8 gap-y-3">
        <FindingField id="squatDepth" draw={drawOption} />
        <FindingField id="squatHeels" draw={drawOption} />
        <FindingField id="squatTrunk" draw={drawOption} />
        <FindingField id="squatBetterWith" />
      </div>
      <BothFeet ids={['squatKnees']} draw={drawOption} />
    </div>
  );
}

function Posture() {
  const { picture } = useExamined();
  return (
    <div className="grid gap-2">
      <p className="text-faint text-sm">
        Standing relaxed on both feet. From −2 (supinated) to +2 (pronated); keys 1 to 5. From a photo the
        first item cannot be scored: it is felt.
      </p>
      <div className="grid grid-cols-[1fr_minmax(8rem,11rem)_1fr] min-[1150px]:grid-cols-[1fr_auto_minmax(8rem,11rem)_auto_1fr] gap-x-3 gap-y-1.5 items-center">
        {POSTURE_ITEMS.map((item) => (
          <div key={item.id} className="contents">
            <FindingField id={item.id} place="left" quiet className="justify-self-end" />
            <PostureDrawing item={item.id} score={numberAt(picture, item.id, 'left')} mirrored />
            <div className="text-center leading-tight">
              {definitionOf(item.id).label}
              <span className="block text-faint text-xs">
                −2 {item.minus}; +2 {item.plus}
              </span>
            </div>
            <PostureDrawing item={item.id} score={numberAt(picture, item.id, 'right')} mirrored={false} />
            <FindingField id={item.id} place="right" quiet />
          </div>
        ))}
      </div>
      <DerivedRows>
        <DerivedRow id="postureTotal" needs="score all six: a missing one is no 0" />
      </DerivedRows>
    </div>
  );
}

function ArchUnderLoad() {
  return (
    <div className="grid gap-3">
      <FindingField id="navicularMethod" />
      <Guided left="navicular" right="dorsum">
        <BothFeet
          ids={[
            'navicularStart',
            'navicularRelaxed',
            'dorsumHeightUnloaded',
            'midfootWidth',
            'midfootWidthUnloaded',
          ]}
        />
      </Guided>
      <DerivedRows>
        <DerivedRow id="navicularDrop" needs="both navicular heights" />
        <DerivedRow id="archHeightIndex" needs="dorsum height, heel–ball length" />
        <DerivedRow id="archHeightIndexSeated" needs="seated dorsum, heel–ball length" />
        <DerivedRow
          id="archFlexibility"
          needs="both dorsum heights, body mass"
          note="no classes recalled"
          mark="zifchock-2017"
        />
        <DerivedRow
          id="footMobility"
          needs="unloaded and standing dorsum and midfoot"
          note="no diagnostic bands"
          mark="mcpoil-2009"
        />
      </DerivedRows>
    </div>
  );
}

/** Left against right, read against the measurement’s own error. */
function SideDifference({ ids }: { ids: readonly FindingId[] }) {
  const { picture } = useExamined();
  const rows = ids.flatMap((id) => {
    const [left, right] = SIDES.map((side) => numberAt(picture, id, side));
    if (left === null || right === null || left === undefined || right === undefined) return [];
    const definition = definitionOf(id);
    const unit = definition.kind === 'number' ? definition.unit : 'score';
    const real = realDifferenceOf(id);
    return [
      <li key={id}>
        {definition.label}: left {figureIn(unit, Math.abs(left - right))} {UNIT_LABEL[unit]}{' '}
        {left < right ? 'less' : 'more'} than right, {readDifference(id, left - right)}
        {real && (
          <span className="text-faint">
            {' '}
            (from {figureIn(unit, real.least)} {UNIT_LABEL[unit]} on; {markInWords(real.mark)})
          </span>
        )}
      </li>,
    ];
  });
  return rows.length === 0 ? null : (
    <div role="status">
      <ul className="text-sm">{rows}</ul>
    </div>
  );
}

function Mobility() {
  const { picture } = useExamined();
  const { hypermobilityScore, ageYears } = picture.body;
  return (
    <div className="grid gap-3">
      <Guided left="lunge" right="bigToe">
        <BothFeet ids={['lungeDistance', 'lungeAngle', 'bigToeRange', 'legLength']} />
      </Guided>
      <SideDifference ids={['lungeDistance', 'lungeAngle', 'legLength']} />
      <p className="text-faint text-sm">
        Lunge in centimetres and in degrees are two measures and are not converted: the often quoted 3.6° for
        a centimetre contradicts the geometry ({degreesPerCentimetre(38, 40).toFixed(1)}° for a shank of 40
        cm). {EXAMINATION_SOURCES['hoch-2011'].says} {markInWords('hoch-2011')}. A tape tells leg lengths to
        about 5–10 mm (common practice).
      </p>
      <FindingField id="hypermobilitySigns" />
      {hypermobilityScore !== NOT_EXAMINED && (
        <p role="status">
          {readHypermobility(hypermobilityScore, ageYears === NOT_EXAMINED ? null : ageYears)}.{' '}
          <span className="text-faint text-sm">{markInWords('beighton-1973')}</span>
        </p>
      )}
    </div>
  );
}

function StrengthAndBalance() {
  return (
    <div className="grid gap-3">
      <Guided left="heelRise" right="oneLeg">
        <div className="grid gap-3">
          <BothFeet ids={['heelRises', 'singleLegStance']} />
          <div className="flex justify-center gap-24">
            {SIDES.map((side) => (
              <div key={side} className="flex gap-2">
                <CountButton side={side} />
                <Stopwatch id="singleLegStance" place={side} start="Time the stance" />
              </div>
            ))}
          </div>
        </div>
      </Guided>
      <div className="grid grid-cols-2 gap-6 border-t border-line pt-3">
        <section aria-label="Rise, walk and turn" className="grid gap-2 content-start">
          <UpAndGo />
          <div className="flex items-end gap-3">
            <FindingField id="timedUpAndGo" />
            <Stopwatch id="timedUpAndGo" />
          </div>
          <FindingField id="timedUpAndGoIn" />
        </section>
        <section aria-label="Chair test" className="grid gap-2 content-start">
          <p className="text-faint text-sm">
            Five times up from the chair and down again, arms folded, as fast as is safe; stop at the fifth
            standing. Someone stands by.
          </p>
          <div className="flex items-end gap-3">
            <FindingField id="chairStands" />
            <Stopwatch id="chairStands" />
          </div>
        </section>
      </div>
    </div>
  );
}

/** One more heel rise. */
function CountButton({ side }: { side: Side }) {
  const { readOnly } = useExamined();
  const field = useFinding('heelRises', side);
  const count = typeof field.value === 'number' ? field.value : 0;
  return (
    <button
      type="button"
      className="press"
      disabled={readOnly}
      aria-label={`Count a heel rise, ${side}`}
      onClick={() => field.set(count + 1)}
    >
      Rise +1
    </button>
  );
}

/** The course of the test, drawn. */
function UpAndGo() {
  return (
    <figure>
      <svg
        viewBox="0 0 260 56"
        className="w-full h-14"
        aria-hidden="true"
        fill="none"
        stroke="var(--draw-line)"
      >
        <path d="M14 12V44H34V28H16M34 44V52M16 44V52" strokeWidth="2.4" />
        <path d="M44 36H218" strokeDasharray="5 4" />
        <path d="M218 36C236 36 236 16 218 16H60M66 11L59 16L66 21" />
        <path d="M226 6V50" stroke="var(--accent)" strokeWidth="2.4" />
        <text x="132" y="31" fontSize="14" textAnchor="middle" fill="var(--faint)" stroke="none">
          3 m
        </text>
      </svg>
      <figcaption className="text-faint text-sm">
        Up from a chair of about 45 cm, 3 m, turn, back, sit: once for practice, then timed. Own shoes, usual
        aid: write them down.
      </figcaption>
    </figure>
  );
}

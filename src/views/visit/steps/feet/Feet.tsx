import { lazy } from 'react';
import { atRiskCategory, reviewInWords } from '@/core/examination/at-risk-category';
import { MONOFILAMENT_SITES } from '@/core/examination/sensation';
import { SIDES } from '@/core/findings/finding-kinds';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { drawOption } from '@/ui/drawing/option-pictures';
import { Sections } from '@/ui/Sections';
import { BodyMap } from '../../body-map/BodyMap';
import { BothFeet } from '../../FindingField';
import { NoneOf } from '../../NoneOf';
import { useFinding } from '../../use-findings';
import { useExamined } from '../../visit-context';
import { MeasureFeet } from './MeasureFeet';

const Compare = lazy(() => import('./Compare').then((part) => ({ default: part.Compare })));
const HotSpots = lazy(() => import('./HotSpots').then((part) => ({ default: part.HotSpots })));
const Swelling = lazy(() => import('./Swelling').then((part) => ({ default: part.Swelling })));
const Warmth = lazy(() => import('./Warmth').then((part) => ({ default: part.Warmth })));
const Footprints = lazy(() => import('../../devices/Footprints'));
const Scans = lazy(() => import('../../devices/Scans'));

/** Both feet: measured, compared, looked at, felt; print and scan. */
export function Feet() {
  return (
    <Sections
      label="Parts of the foot examination"
      parts={[
        { id: 'measure', title: 'Measure', content: <MeasureFeet /> },
        { id: 'compare', title: 'Compare', content: <Compare /> },
        {
          id: 'form',
          title: 'Form',
          content: (
            <BothFeet
              ids={['arch', 'toeShape', 'bunion', 'lesserToes', 'midfootArthritis']}
              draw={drawOption}
            />
          ),
        },
        { id: 'skin', title: 'Skin', content: <SkinMap /> },
        { id: 'hot-spots', title: 'Hot spots', content: <HotSpots /> },
        { id: 'warmth', title: 'Warmth', content: <Warmth /> },
        {
          id: 'sensation',
          title: 'Sensation and pulses',
          content: (
            <div className="grid gap-4">
              <p className="text-faint text-sm">
                Show the filament on the hand first. Eyes closed; press until it bends, about 2 s; never on
                callus. Three questions a site, at least one without a touch, in no order. A site with 2 wrong
                of 3 is lost.
              </p>
              <BothFeet ids={MONOFILAMENT_SITES.map((site) => site.id)} />
              <BothFeet ids={['sensation', 'pulses']} />
              <FromTheSites />
              <AtRisk />
            </div>
          ),
        },
        { id: 'swelling', title: 'Swelling', content: <Swelling /> },
        {
          id: 'print',
          title: 'Footprint',
          content: <Footprints />,
        },
        {
          id: 'scan',
          title: 'Scan',
          content: <Scans />,
        },
      ]}
    />
  );
}

function SkinMap() {
  return (
    <div className="grid gap-1">
      <BodyMap layer="skin" feetOnly />
      <div className="flex justify-between gap-4">
        {SIDES.map((side) => (
          <NoneOf key={side} id="skin" side={side} what="skin changes" />
        ))}
      </div>
    </div>
  );
}

/** What the sites together say, where it is not what was chosen for the foot. */
function FromTheSites() {
  const { picture } = useExamined();
  const chosen = {
    left: useFinding('sensation', 'left').value,
    right: useFinding('sensation', 'right').value,
  };
  const lines = SIDES.filter(
    (side) => picture[side].sensation !== NOT_EXAMINED && picture[side].sensation !== chosen[side],
  ).map((side) => `${side}: ${picture[side].sensation} by its sites`);
  return lines.length === 0 ? null : (
    <p role="status" className="text-center text-hold">
      {lines.join('; ')}.
    </p>
  );
}

function AtRisk() {
  const { picture } = useExamined();
  return (
    <div className="grid grid-cols-[1fr_9.5rem_1fr] gap-x-4 bg-desk py-2" role="status">
      {SIDES.map((side) => {
        const answer = atRiskCategory(picture, side);
        const text = answer.known ? (
          <>
            <strong className="font-display text-lg">Category {answer.category}</strong>
            <span className="block">{answer.because}</span>
            <span className="block text-faint">review every {reviewInWords(answer.category)}</span>
          </>
        ) : (
          <>
            <strong className="font-display text-lg">Unknown</strong>
            <span className="block text-hold">{answer.because}</span>
          </>
        );
        return (
          <div key={side} className={side === 'left' ? 'text-right' : 'col-start-3'}>
            <span className="sr-only">{side}: </span>
            {text}
          </div>
        );
      })}
      <p className="col-start-2 row-start-1 text-center">
        At-risk category
        <span className="block text-faint text-xs">IWGDF 2019/2023, from memory; made for diabetes</span>
      </p>
    </div>
  );
}

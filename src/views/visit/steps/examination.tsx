import { NOT_EXAMINED } from '@/core/picture/clinical-picture';
import { SIDES } from '@/core/picture/finding-kinds';
import { atRiskCategory, REVIEW_MONTHS } from '@/core/safety/at-risk-category';
import { footDifference, heelBallRatio } from '@/core/sizing/foot-difference';
import { FeetDrawing } from '../FeetDrawing';
import { BothFeet, FindingField } from '../FindingField';
import { Sections } from '../Sections';
import { useVisit } from '../visit-context';

/** What the patient came in: age, distance, signs. */
export function OldPair() {
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap gap-6">
        <FindingField id="oldPairAge" />
        <FindingField id="oldPairDistance" />
        <FindingField id="oldPairDrop" />
      </div>
      <FindingField id="oldPairCategory" />
      <FindingField id="oldPairSigns" />
      <p className="text-faint max-w-prose">
        The midsole is the heart of a shoe: upper and tread can look new when it is finished. Outer back heel
        wear is the usual landing place and means nothing by itself.
      </p>
    </div>
  );
}

/** Both feet, measured and looked at. */
export function Feet() {
  return (
    <Sections
      label="Parts of the foot examination"
      parts={[
        {
          id: 'measure',
          title: 'Measure',
          content: (
            <div className="grid gap-3">
              <BothFeet ids={['footLength', 'heelBallLength', 'ballWidth', 'ballGirth', 'toeHeight']} />
              <Difference />
              <FeetDrawing />
            </div>
          ),
        },
        {
          id: 'form',
          title: 'Form',
          content: (
            <BothFeet
              ids={[
                'arch',
                'archMobility',
                'toeShape',
                'bunion',
                'lesserToes',
                'bigToeRange',
                'midfootArthritis',
              ]}
            />
          ),
        },
        {
          id: 'skin',
          title: 'Skin and sensation',
          content: (
            <div className="grid gap-4">
              <BothFeet ids={['sensation', 'pulses', 'skin']} />
              <AtRisk />
            </div>
          ),
        },
      ]}
    />
  );
}

function Difference() {
  const { picture } = useVisit();
  const { left, right } = picture;
  if (left.footLength === NOT_EXAMINED || right.footLength === NOT_EXAMINED) return null;
  const difference = footDifference(left.footLength, right.footLength);
  const again = SIDES.filter((side) => {
    const { footLength, heelBallLength } = picture[side];
    return (
      footLength !== NOT_EXAMINED &&
      heelBallLength !== NOT_EXAMINED &&
      heelBallRatio(footLength, heelBallLength).remeasure
    );
  });
  return (
    <p role="status" className="text-center">
      {difference.mm > 0 && <span className="figure">{Math.round(difference.mm * 10) / 10} mm apart. </span>}
      {difference.sentence}
      {again.length > 0 && (
        <span className="problem block">
          Heel–ball length {again.join(' and ')} lies outside 0.68–0.78 of the foot: measure again.
        </span>
      )}
    </p>
  );
}

function AtRisk() {
  const { picture } = useVisit();
  return (
    <div className="grid grid-cols-[1fr_9.5rem_1fr] gap-x-4" role="status">
      {SIDES.map((side) => {
        const answer = atRiskCategory(picture, side);
        const text = answer.known ? (
          <>
            <strong className="font-display text-lg">Category {answer.category}</strong>
            <span className="block">{answer.because}</span>
            <span className="block text-faint">
              review every{' '}
              {REVIEW_MONTHS[answer.category].filter((value, at, all) => all.indexOf(value) === at).join('–')}{' '}
              months
            </span>
          </>
        ) : (
          <>
            <strong className="font-display text-lg">Unknown</strong>
            <span className="block text-hold">{answer.because}</span>
          </>
        );
        return (
          <div key={side} className={side === 'left' ? 'text-right' : 'col-start-3'}>
            {text}
          </div>
        );
      })}
      <p className="col-start-2 row-start-1 text-center">
        At-risk category
        <span className="block text-faint text-xs">IWGDF 2019/2023, from memory</span>
      </p>
    </div>
  );
}

/** Loaded: knee bend, lunge, heel rise. */
export function Load() {
  return (
    <BothFeet
      ids={[
        'kneeBend',
        'heelsLiftEarly',
        'lungeDistance',
        'lungeAngle',
        'heelRises',
        'archFlattening',
        'singleLegStance',
      ]}
    />
  );
}

/** Moving: what changes against standing. */
export function Move() {
  return (
    <div className="grid gap-4">
      <BothFeet ids={['roll', 'strike', 'heelAngleStance', 'heelAngleWalk', 'heelAngleRun']} />
      <FindingField id="cadence" className="justify-self-center" />
      <p className="text-faint max-w-prose justify-self-center">
        There is no agreed angle at which rolling becomes “over”. Keep the number, the change from standing,
        and whether it goes with symptoms.
      </p>
    </div>
  );
}

import { lazy } from 'react';
import { SIDES } from '@/core/findings/finding-kinds';
import { FINDINGS, optionsIn } from '@/core/findings/findings';
import { sportsUnder } from '@/core/findings/sports';
import { isKeyOf, keysOf } from '@/core/tables/keys-of';
import { findingsOfUses } from '@/core/visit/from-uses';
import { Sections } from '@/ui/Sections';
import { BothFeet, FindingField } from '../../FindingField';
import { NoneOf } from '../../NoneOf';
import { useFinding } from '../../use-findings';
import { useExamined } from '../../visit-context';

const ACTIVITIES = FINDINGS.activities.options;
const ALL_SURFACES = keysOf(FINDINGS.surfaces.options);
/** Grounds of courts are asked of who plays on them. */
const COURT_GROUNDS: readonly string[] = ['clay', 'grass', 'turf'];
const USUAL_SURFACES = ALL_SURFACES.filter((surface) => !COURT_GROUNDS.includes(surface));
/** Asked of an insert that is there. */
const INSERT_MEASURES = ['insertSource', 'insertHeel', 'insertForefoot', 'insertWidth'] as const;

// They stand on tabs of their own.
const BodyMap = lazy(() => import('../../body-map/BodyMap').then((part) => ({ default: part.BodyMap })));
const InjuryTimeline = lazy(() =>
  import('../../body-map/InjuryTimeline').then((part) => ({ default: part.InjuryTimeline })),
);
const Uses = lazy(() => import('./Uses').then((part) => ({ default: part.Uses })));
const ShoesBefore = lazy(() => import('./ShoesBefore').then((part) => ({ default: part.ShoesBefore })));
const Prosthesis = lazy(() => import('../Prosthesis').then((part) => ({ default: part.Prosthesis })));

/** History: what for, where it hurts, injuries, health and reach, and a prosthesis where there is one. */
export function Ask() {
  const prosthesis = useFinding('prosthesisSide', 'body').value;
  const activities = optionsIn(useFinding('activities', 'body').value) ?? [];
  const sports = sportsUnder(activities.filter((activity) => isKeyOf(ACTIVITIES, activity)));
  const surfaces = activities.includes('court') ? ALL_SURFACES : USUAL_SURFACES;
  const runs = activities.includes('road-running');
  const pregnant = optionsIn(useFinding('conditions', 'body').value)?.includes('pregnancy');
  const left = useFinding('insert', 'left').value;
  const right = useFinding('insert', 'right').value;
  const inserts = [left, right].some((insert) => insert !== undefined && insert !== 'none');
  const lifts = activities.some((activity) => activity.startsWith('lifting'));
  const parts = [
    {
      id: 'for',
      title: 'What for',
      content: (
        <div className="grid gap-4">
          <FindingField id="activities" />
          {sports.length > 0 && <FindingField id="sports" only={sports} />}
          <FindingField id="surfaces" only={surfaces} />
          <div className="flex flex-wrap gap-x-6 gap-y-3">
            <FindingField id="weeklyDistance" />
            <FindingField id="weeklyDistanceBefore" />
            <FindingField id="loadRise" />
            <FindingField id="hoursStanding" />
            <FindingField id="longestOuting" />
            <FindingField id="bodyMass" />
            <FindingField id="eventAhead" />
            {lifts && <FindingField id="liftsBestIn" />}
            {runs && <FindingField id="camber" />}
          </div>
          <FromTheWeek />
          <div className="flex flex-wrap gap-x-6 gap-y-3">
            <FindingField id="experience" />
            <FindingField id="trainingChange" />
          </div>
        </div>
      ),
    },
    { id: 'week', title: 'How much, and when', content: <Uses /> },
    { id: 'before', title: 'Shoes before', content: <ShoesBefore /> },
    {
      id: 'aches',
      title: 'Aches',
      content: (
        <div className="grid gap-1">
          <BodyMap layer="ache" />
          <div className="flex justify-between gap-4">
            {SIDES.map((side) => (
              <NoneOf key={side} id="pain" side={side} what="aches" />
            ))}
          </div>
        </div>
      ),
    },
    {
      id: 'injuries',
      title: 'Injuries',
      content: (
        <div className="grid gap-2">
          <BodyMap layer="injury" />
          <InjuryTimeline />
          <div className="flex justify-between gap-4">
            {SIDES.map((side) => (
              <NoneOf key={side} id="injuries" side={side} what="injuries" />
            ))}
          </div>
        </div>
      ),
    },
    {
      id: 'health',
      title: 'Health and reach',
      content: (
        <div className="grid gap-4">
          <FindingField id="conditions" />
          <div className="grid grid-cols-2 gap-4">
            <FindingField id="generalSigns" />
            <FindingField id="medication" />
          </div>
          <div className="flex flex-wrap gap-x-6 gap-y-3">
            <FindingField id="reach" />
            <FindingField id="hands" />
            <FindingField id="falls" />
            <FindingField id="fearOfFalling" />
            <FindingField id="walkingAid" />
            <FindingField id="legLengthDifference" />
            {pregnant && <FindingField id="pregnancyWeeks" />}
          </div>
          <BothFeet ids={['swelling', 'insert', ...(inserts ? INSERT_MEASURES : [])]} />
          <FindingField id="backPain" />
        </div>
      ),
    },
    {
      id: 'prosthesis',
      title: 'Prosthesis',
      content: (
        <div className="grid gap-4">
          <FindingField id="prosthesisSide" />
          {prosthesis !== undefined && prosthesis !== 'none' && <Prosthesis />}
        </div>
      ),
    },
  ];
  return <Sections label="Parts of the history" parts={parts} />;
}

const EVENTS = {
  none: 'no build-up',
  short: 'a build-up to 10 km or less',
  long: 'a build-up to a long event',
} as const;

/** What follows from the week and the events that were written down, where the question itself was left open. */
function FromTheWeek() {
  const { visit, state } = useExamined();
  const { content } = state.steps.ask;
  const { weeklyDistance, eventAhead } = findingsOfUses(content, visit.startedAt).body ?? {};
  const entered = content.findings?.body;
  const said = [
    weeklyDistance !== undefined && entered?.weeklyDistance === undefined && `${weeklyDistance} km a week`,
    eventAhead !== undefined && entered?.eventAhead === undefined && EVENTS[eventAhead],
  ].filter(Boolean);
  return said.length === 0 ? null : (
    <p className="text-faint">
      From “How much, and when”: {said.join(', ')}. What is entered here counts first.
    </p>
  );
}

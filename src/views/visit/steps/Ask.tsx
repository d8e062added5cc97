import { lazy } from 'react';
import { SIDES } from '@/core/findings/finding-kinds';
import { optionsIn } from '@/core/findings/findings';
import { findingsOfUses } from '@/core/visit/from-uses';
import { BodyMap } from '../body-map/BodyMap';
import { InjuryTimeline } from '../body-map/InjuryTimeline';
import { BothFeet, FindingField } from '../FindingField';
import { NoneOf } from '../NoneOf';
import { Sections } from '../Sections';
import { useFinding } from '../use-findings';
import { useVisit } from '../visit-context';

// Few visits open these.
const Uses = lazy(() => import('./Uses').then((part) => ({ default: part.Uses })));
const Prosthesis = lazy(() => import('./Prosthesis').then((part) => ({ default: part.Prosthesis })));

/** History: what for, where it hurts, injuries, health and reach, and a prosthesis where there is one. */
export function Ask() {
  const prosthesis = useFinding('prosthesisSide', 'body').value;
  const activities = optionsIn(useFinding('activities', 'body').value) ?? [];
  const lifts = activities.some((activity) => activity.startsWith('lifting'));
  const parts = [
    {
      id: 'for',
      title: 'What for',
      content: (
        <div className="grid gap-4">
          <FindingField id="activities" />
          <FindingField id="surfaces" />
          <div className="flex flex-wrap gap-x-6 gap-y-3">
            <FindingField id="weeklyDistance" />
            <FindingField id="weeklyDistanceBefore" />
            <FindingField id="loadRise" />
            <FindingField id="hoursStanding" />
            <FindingField id="longestOuting" />
            <FindingField id="bodyMass" />
            <FindingField id="eventAhead" />
            {lifts && <FindingField id="liftsBestIn" />}
          </div>
          <FromTheWeek />
          <div className="flex flex-wrap gap-x-6 gap-y-3">
            <FindingField id="experience" />
            <FindingField id="trainingChange" />
          </div>
          <div className="grid grid-cols-2 gap-4">
            <FindingField id="workedBefore" />
            <FindingField id="failedBefore" />
          </div>
        </div>
      ),
    },
    { id: 'week', title: 'How much, and when', content: <Uses /> },
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
          </div>
          <BothFeet ids={['swelling', 'insert', 'insertHeel']} />
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
  const { visit, state } = useVisit();
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

import { lazy } from 'react';
import { SIDES } from '@/core/findings/finding-kinds';
import { SCHOOL_CHOICES } from '@/core/knowledge/schools';
import { shoeValues } from '@/core/prescribe/engine/shoe-values';
import { LIMITS_OF_USE } from '@/core/safety/cautions';
import { minimalistIndexOf, type ShoeIndex } from '@/core/shoe/minimalist-index';
import { MOTION_CONTROL_MOST, motionControlScaleOf } from '@/core/shoe/motion-control-scale';
import { mapTable } from '@/core/tables/keys-of';
import { mainPair, verdictOfPair } from '@/core/wear/old-pair';
import { verdictInWords } from '@/core/wear/verdict';
import { Choice } from '@/ui/fields/Choice';
import { Sections } from '@/ui/Sections';
import { useExamined, useVisit } from '../../visit-context';
import { Board } from './Board';
import { Deadlocks } from './Deadlocks';
import { useChoices } from './use-choices';

const SCHOOLS = mapTable(SCHOOL_CHOICES, ({ label }) => label);

const range = ({ least, most }: ShoeIndex): string =>
  Math.round(least) === Math.round(most)
    ? `${Math.round(least)}`
    : `${Math.round(least)}–${Math.round(most)}`;

const AskNext = lazy(() => import('./AskNext').then((part) => ({ default: part.AskNext })));
const LeftRight = lazy(() => import('./LeftRight').then((part) => ({ default: part.LeftRight })));
const Schools = lazy(() => import('./Schools').then((part) => ({ default: part.Schools })));
const WhatIf = lazy(() => import('./WhatIf').then((part) => ({ default: part.WhatIf })));

/** A spent pair in which something aches is said before any reasoning: it is replaced first, and the rest looked at again. */
function SpentFirst() {
  const { picture, state, verdictContext } = useExamined();
  const main = mainPair(state.steps['old-pair'].content.pairs ?? []);
  const aches = SIDES.some((side) => {
    const { pain } = picture[side];
    return Array.isArray(pain) && pain.length > 0;
  });
  if (!main || !aches || picture.body.oldPairSpent !== 'yes') return null;
  const [spent] = verdictInWords(verdictOfPair(main, verdictContext));
  return (
    <p role="status" className="text-hold">
      <strong>{main.title}</strong>: {spent} Something aches: replace the pair first, and see what is left of
      it.
    </p>
  );
}

/** Why the shoe is what it is, and what a clinician makes of it. */
export function Reason() {
  const { specification, school, visit } = useVisit();
  const { choices, save, readOnly } = useChoices();
  const shoe = shoeValues(specification);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <div className="flex gap-5 items-end flex-wrap">
        {readOnly ? (
          <p>School of this visit: {SCHOOLS[school]}</p>
        ) : (
          <Choice
            label="School of this visit"
            options={SCHOOLS}
            value={school}
            onChange={(value) => save({ school: value ?? visit.clinic.school })}
          />
        )}
        <p className="text-faint text-xs leading-snug">
          As specified: minimalist index {range(minimalistIndexOf(shoe))} %, motion control{' '}
          {range(motionControlScaleOf(shoe))} of {MOTION_CONTROL_MOST}.<br />
          Rules {specification.knowledge}. <a href={`/visits/${visit.id}/rationale`}>Printable rationale</a>
        </p>
      </div>
      <SpentFirst />
      <Deadlocks />
      <Sections
        label="Parts of the reasoning"
        parts={[
          { id: 'board', title: 'Board', content: <Board /> },
          { id: 'schools', title: 'Schools', content: <Schools /> },
          { id: 'sides', title: 'Left and right', content: <LeftRight /> },
          { id: 'next', title: 'Ask next', content: <AskNext /> },
          {
            id: 'what-if',
            title: 'What if',
            content: <WhatIf />,
          },
          {
            id: 'note',
            title: 'Note',
            content: (
              <label className="block">
                <span className="block text-faint">Note to this specification</span>
                <textarea
                  className="w-full"
                  rows={5}
                  maxLength={2000}
                  value={choices.note ?? ''}
                  onChange={(event) => save({ note: event.target.value })}
                />
              </label>
            ),
          },
        ]}
      />
      <p className="text-faint text-xs">{LIMITS_OF_USE}</p>
    </div>
  );
}

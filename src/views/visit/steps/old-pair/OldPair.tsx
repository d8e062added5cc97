import { lazy } from 'react';
import { optionsIn } from '@/core/findings/findings';
import { greaterOf } from '@/core/findings/picture';
import { type BenchAnswers, signsOfUse } from '@/core/shoe/bench/read-bench';
import { Sections } from '@/ui/Sections';
import { FindingField } from '../../FindingField';
import { useFinding, useStepContent } from '../../use-findings';
import { useExamined } from '../../visit-context';

const PairsBrought = lazy(() => import('./PairsBrought').then((part) => ({ default: part.PairsBrought })));
const Midsole = lazy(() => import('./Midsole').then((part) => ({ default: part.Midsole })));
const Soles = lazy(() => import('./Soles').then((part) => ({ default: part.Soles })));
const PairPhotographs = lazy(() =>
  import('./PairPhotographs').then((part) => ({ default: part.PairPhotographs })),
);
const BenchTest = lazy(() =>
  import('../../../bench/BenchTest').then(({ BenchTest: View }) => ({ default: View })),
);

/** What the patient came in: age, distance, signs; and the ten tests of it. */
export function OldPair() {
  return (
    <Sections
      label="Parts of the old pair"
      parts={[
        { id: 'pairs', title: 'Pairs brought', content: <PairsBrought /> },
        { id: 'soles', title: 'Soles', content: <Soles /> },
        { id: 'midsole', title: 'Midsole', content: <Midsole /> },
        { id: 'photographs', title: 'Photographs', content: <PairPhotographs /> },
        { id: 'history', title: 'In short', content: <History /> },
        {
          id: 'bench',
          title: 'Bench test',
          content: <OldBench />,
        },
      ]}
    />
  );
}

function History() {
  return (
    <div className="grid gap-4">
      <p className="text-faint max-w-prose">
        For a pair that was not brought: what the patient says. What is entered here counts before anything
        that follows from a pair that was.
      </p>
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

/** The tests of the pair that came in; what they find is offered to the history, never put there unasked. */
function OldBench() {
  const { picture, readOnly, store, state } = useExamined();
  const { content } = useStepContent('old-pair');
  const signs = useFinding('oldPairSigns', 'body');
  const answers: BenchAnswers = content.bench ?? {};
  const { typed } = state.steps['old-pair'];
  const found = signsOfUse(answers).filter((sign) => !(optionsIn(signs.value) ?? []).includes(sign));
  return (
    <BenchTest
      pair="old"
      answers={answers}
      typed={typed}
      onChange={(bench, text) => {
        if (!readOnly) store.change('old-pair', { ...content, bench }, text);
      }}
      heelBallMm={greaterOf(picture, 'heelBallLength')}
      end={
        <div className="grid gap-1">
          {found.length > 0 && (
            <p>
              <button
                type="button"
                className="press"
                onClick={() => signs.set([...(optionsIn(signs.value) ?? []), ...found])}
              >
                Take {found.length} sign{found.length === 1 ? '' : 's'} of use into the history
              </button>
            </p>
          )}
        </div>
      }
    />
  );
}

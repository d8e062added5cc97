import { lazy } from 'react';
import { SIDES } from '@/core/findings/finding-kinds';
import { insertOf } from '@/core/match/insert';
import { Failed } from '@/ui/page/Failed';
import { Sections } from '@/ui/Sections';
import { useCandidates } from '../../use-candidates';
import { useExamined } from '../../visit-context';
import { Conditions } from './Conditions';
import { LeftOut } from './LeftOut';
import { RankedList } from './RankedList';

const SizeSystems = lazy(() => import('./SizeSystems').then((part) => ({ default: part.SizeSystems })));
const ShoeAndInsert = lazy(() => import('./ShoeAndInsert').then((part) => ({ default: part.ShoeAndInsert })));
const SideBySide = lazy(() => import('./SideBySide').then((part) => ({ default: part.SideBySide })));

/** The catalogue against the specification: what suits, in which size, why and why not, and what to bring. */
export function Candidates() {
  const { candidates, problem, retry } = useCandidates();
  const { picture } = useExamined();
  const inserts = SIDES.some((side) => insertOf(picture, side) !== null);
  if (problem) return <Failed problem={problem} onRetry={retry} />;
  if (!candidates) return <p role="status">Ranking the catalogue …</p>;
  return (
    <div className="grid gap-2">
      <Conditions />
      <Sections
        label="Parts of the candidates"
        parts={[
          { id: 'ranked', title: 'Ranked', content: <RankedList candidates={candidates} /> },
          {
            id: 'beside',
            title: 'Side by side',
            content: <SideBySide candidates={candidates} />,
          },
          ...(inserts
            ? [{ id: 'insert', title: 'With the insert', content: <ShoeAndInsert candidates={candidates} /> }]
            : []),
          { id: 'sizes', title: 'Sizes', content: <SizeSystems /> },
          {
            id: 'out',
            title: `Left out (${candidates.excluded.length + candidates.noSize.length})`,
            content: <LeftOut candidates={candidates} />,
          },
        ]}
      />
    </div>
  );
}

import { lazy } from 'react';
import { Failed } from '@/ui/page/Failed';
import { Sections } from '@/ui/Sections';
import { useCandidates } from '../../use-candidates';
import { Conditions } from './Conditions';
import { LeftOut } from './LeftOut';
import { RankedList } from './RankedList';

const SizeSystems = lazy(() => import('./SizeSystems').then((part) => ({ default: part.SizeSystems })));
const SideBySide = lazy(() => import('./SideBySide').then((part) => ({ default: part.SideBySide })));

/** The catalogue against the specification: what suits, in which size, why and why not, and what to bring. */
export function Candidates() {
  const { candidates, problem, retry } = useCandidates();
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

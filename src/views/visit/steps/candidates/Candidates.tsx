import { Sections } from '../../Sections';
import { useCandidates } from '../../use-candidates';
import { Conditions } from './Conditions';
import { LeftOut } from './LeftOut';
import { RankedList } from './RankedList';
import { SideBySide } from './SideBySide';
import { SizeSystems } from './SizeSystems';

/** The catalogue against the specification: what suits, in which size, why and why not, and what to bring. */
export function Candidates() {
  const { candidates, problem } = useCandidates();
  if (problem) return <p className="problem">{problem}</p>;
  if (!candidates) return <p role="status">Ranking the catalogue …</p>;
  return (
    <div className="grid gap-2">
      <Conditions />
      <Sections
        label="Parts of the candidates"
        parts={[
          { id: 'ranked', title: 'Ranked', content: <RankedList candidates={candidates} /> },
          { id: 'beside', title: 'Side by side', content: <SideBySide candidates={candidates} /> },
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

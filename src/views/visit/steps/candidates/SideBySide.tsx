import { useMemo } from 'react';
import { profileOf } from '@/core/catalogue/drawing-of-model';
import { modelTitle } from '@/core/catalogue/model';
import { compareModels } from '@/core/match/compare';
import { CompareTable } from '@/ui/drawing/CompareTable';
import { OverlaidProfiles } from '@/ui/drawing/OverlaidProfiles';
import type { CandidatesView } from '../../use-candidates';
import { useVisit } from '../../visit-context';
import { useBrought } from './use-brought';

/** The pairs to bring beside each other, against the specification. */
export function SideBySide({ candidates }: { candidates: CandidatesView }) {
  const { specification } = useVisit();
  const { chosen } = useBrought();
  const models = useMemo(
    () => chosen.flatMap((id) => candidates.byId.get(id) ?? []),
    [chosen, candidates.byId],
  );
  const rows = useMemo(() => compareModels(models, specification), [models, specification]);
  if (models.length < 2) return <p>Choose two or three to bring; they appear here side by side.</p>;
  return (
    <div className="grid gap-3">
      <div className="max-w-xl">
        <OverlaidProfiles
          profiles={models.map((model) => ({
            label: modelTitle(model),
            drawing: profileOf(model),
          }))}
        />
      </div>
      <CompareTable label="Pairs to bring, side by side" titles={models.map(modelTitle)} rows={rows} />
    </div>
  );
}

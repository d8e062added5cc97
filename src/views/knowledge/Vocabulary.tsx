import { axisOf, type Drawn, type FeatureDefinition } from '@/core/shoe/feature-kinds';
import { FEATURE_IDS, featureOf, isPerFoot } from '@/core/shoe/features';
import { UNIT_LABEL } from '@/core/units/parse';
import { DataTable } from '@/ui/table/DataTable';

const DRAWN: Record<Drawn, string> = {
  side: 'side profile',
  plan: 'sole plan',
  both: 'side profile and sole plan',
  words: 'in words',
};

function scaleInWords(feature: FeatureDefinition): string {
  if (feature.kind === 'choice') return Object.values(feature.options).join(', ');
  if (feature.kind === 'grade') return feature.anchors.map((anchor, at) => `${at + 1} ${anchor}`).join(', ');
  const { from, to } = axisOf(feature);
  return `${from}–${to} ${UNIT_LABEL[feature.unit]}`;
}

/** One vocabulary for prescription, catalogue, bench test and drawing: every feature with its scale. */
export function Vocabulary() {
  const groups = [...new Set(FEATURE_IDS.map((id) => featureOf(id).group))];
  return (
    <DataTable
      spacing="tight"
      groups={groups.map((group) => ({
        title: group,
        rows: FEATURE_IDS.filter((id) => featureOf(id).group === group),
      }))}
      keyOf={String}
      columns={[
        {
          id: 'feature',
          head: 'Feature',
          namesRow: true,
          className: 'text-ink',
          cell: (id) => (
            <>
              {featureOf(id).label}
              {isPerFoot(id) && <span className="text-faint"> each foot</span>}
            </>
          ),
        },
        { id: 'scale', head: 'Scale', cell: (id) => scaleInWords(featureOf(id)) },
        { id: 'measured', head: 'Measured', cell: (id) => featureOf(id).measured },
        { id: 'plain', head: 'To the patient', cell: (id) => featureOf(id).plain },
        { id: 'drawn', head: 'Drawn', cell: (id) => DRAWN[featureOf(id).drawn] },
      ]}
    />
  );
}

import { axisOf, type Drawn, type FeatureDefinition } from '@/core/shoe/feature-kinds';
import { FEATURE_IDS, featureOf, isPerFoot } from '@/core/shoe/features';
import { UNIT_LABEL } from '@/core/units/parse';

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
    <table className="text-sm tight">
      <thead>
        <tr>
          <th scope="col">Feature</th>
          <th scope="col">Scale</th>
          <th scope="col">Measured</th>
          <th scope="col">To the patient</th>
          <th scope="col">Drawn</th>
        </tr>
      </thead>
      {groups.map((group) => (
        <tbody key={group}>
          <tr>
            <th scope="rowgroup" colSpan={5} className="pt-3 capitalize font-display text-ink text-base">
              {group}
            </th>
          </tr>
          {FEATURE_IDS.filter((id) => featureOf(id).group === group).map((id) => {
            const feature = featureOf(id);
            return (
              <tr key={id}>
                <th scope="row" className="text-ink">
                  {feature.label}
                  {isPerFoot(id) && <span className="text-faint"> each foot</span>}
                </th>
                <td>{scaleInWords(feature)}</td>
                <td>{feature.measured}</td>
                <td>{feature.plain}</td>
                <td>{DRAWN[feature.drawn]}</td>
              </tr>
            );
          })}
        </tbody>
      ))}
    </table>
  );
}

import { FINDINGS } from '@/core/findings/findings';
import { Amount } from '@/ui/fields/Amount';
import { useStepContent } from '../../use-findings';
import { useExamined } from '../../visit-context';
import { Events } from './Events';

type Activity = keyof typeof FINDINGS.activities.options;

/** How much of each chosen activity in a usual week, and events that are coming. */
export function Uses() {
  const { readOnly } = useExamined();
  const { content, change } = useStepContent('ask');
  const uses = content.uses ?? [];
  const activities = content.findings.body?.activities ?? [];
  const put = (activity: Activity, part: { minutes?: number | undefined; km?: number | undefined }) =>
    change({
      uses: [
        ...uses.filter((use) => use.activity !== activity),
        { activity, ...uses.find((use) => use.activity === activity), ...part },
      ],
    });
  const km = uses.reduce((sum, use) => sum + (use.km ?? 0), 0);
  return (
    <div className="grid gap-6">
      <section aria-label="In a usual week" className="content-start grid gap-1 max-w-lg">
        <h2 className="text-base">In a usual week</h2>
        {activities.length === 0 && <p className="text-faint">Choose activities under “What for” first.</p>}
        {activities.map((activity) => {
          const use = uses.find((entry) => entry.activity === activity);
          const name = FINDINGS.activities.options[activity];
          return (
            <div key={activity} className="grid grid-cols-[1fr_auto_auto] gap-3 items-baseline">
              <span>{name}</span>
              <Amount
                label={`${name}, minutes a week`}
                unit="min"
                value={use?.minutes}
                most={10_080}
                disabled={readOnly}
                onChange={(minutes) => put(activity, { minutes })}
              />
              <Amount
                label={`${name}, kilometres a week`}
                unit="km"
                value={use?.km}
                most={400}
                disabled={readOnly}
                onChange={(value) => put(activity, { km: value })}
              />
            </div>
          );
        })}
        {km > 0 && <p className="text-faint figure">{Math.round(km * 10) / 10} km a week together.</p>}
      </section>
      <Events />
    </div>
  );
}

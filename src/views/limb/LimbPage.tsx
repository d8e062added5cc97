import { lazy } from 'react';
import { ON_FOOT_LABEL } from '@/core/prosthesis/on-this-foot';
import { Failed } from '@/ui/page/Failed';
import { Sections } from '@/ui/Sections';
import { Drawer } from './Drawer';
import { LimbForm } from './LimbForm';
import { Months } from './Months';
import { SocksToday } from './SocksToday';
import { useLimb } from './use-limb';

const TableShoes = lazy(() => import('./TableShoes').then((part) => ({ default: part.TableShoes })));

/** The prosthetic side of a patient: socks of today and over months, the drawer, shoes that were checked, the record. */
export function LimbPage({ patientId, mayCheck }: { patientId: string; mayCheck: boolean }) {
  const limb = useLimb(patientId);
  const { page, problem, load } = limb;
  if (!page) return problem ? <Failed problem={problem} onRetry={() => void load()} /> : <p>Opening …</p>;
  const { course, hold, foot } = page;
  return (
    <div className="grid gap-2">
      {hold && <p className="text-hold">{hold}</p>}
      {foot && foot.setRiseMm === null && (
        <p className="text-hold">
          Set rise of the foot: {ON_FOOT_LABEL.measure}. No shoe can be judged on it until then.
        </p>
      )}
      {course.asks.map((line) => (
        <p key={line} className="text-warn font-semibold">
          {line}
        </p>
      ))}
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
      <Sections
        label="Parts of the prosthetic side"
        parts={[
          {
            id: 'today',
            title: 'Socks today',
            content: <SocksToday limb={limb} page={page} patientId={patientId} />,
          },
          { id: 'months', title: 'Over months', content: <Months page={page} /> },
          { id: 'drawer', title: 'Drawer', content: <Drawer limb={limb} page={page} /> },
          {
            id: 'shoes',
            title: `Shoes on the table (${page.checks.length})`,
            content: <TableShoes limb={limb} page={page} patientId={patientId} mayCheck={mayCheck} />,
          },
          { id: 'record', title: 'Record', content: <LimbForm limb={limb} page={page} /> },
        ]}
      />
    </div>
  );
}

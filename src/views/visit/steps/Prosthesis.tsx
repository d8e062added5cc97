import { modelTitle, type ShoeModel } from '@/core/catalogue/model';
import { numberQuestion } from '@/core/findings/finding-kinds';
import { limbHold } from '@/core/prosthesis/limb-stops';
import {
  ON_FOOT_LABEL,
  type OnFoot,
  SWINGS_CM,
  type Swing,
  swingOf,
  swingsFrom,
  verdictOnFoot,
} from '@/core/prosthesis/on-this-foot';
import { shankAlignment } from '@/core/prosthesis/shank-alignment';
import { Measure } from '@/ui/fields/Measure';
import { DataTable } from '@/ui/table/DataTable';
import { FindingField } from '../FindingField';
import { useCandidates } from '../use-candidates';
import { useStand } from '../use-stand';
import { useExamined } from '../visit-context';

const RISE = numberQuestion('Shoe’s heel rise', 'mm', [0, 120], { plausible: [0, 40] });
/** Candidates that are shown on the foot, the best first. */
const SHOWN = 6;

/** The prosthetic foot, every candidate on it, and any other shoe by its heel rise. */
export function Prosthesis() {
  const { picture, visit } = useExamined();
  const hold = limbHold(picture, visit);
  return (
    <div className="grid gap-3">
      {hold && <p className="text-hold font-semibold">{hold}</p>}
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <FindingField id="prosthesisSetRise" />
        <FindingField id="prosthesisLever" />
        <FindingField id="prosthesisHeelAt" />
        <FindingField id="prosthesisAnkle" />
        {picture.body.prosthesisAnkle === 'adjustable' && <FindingField id="prosthesisAnkleTo" />}
        <FindingField id="prosthesisMonths" />
      </div>
      <CandidatesOnFoot />
      <OtherShoe />
      <p>
        <a href={`/patients/${visit.patient.id}/limb`}>Socks, drawer and shoes checked on the table</a>
      </p>
    </div>
  );
}

/** The best candidates on this foot, and those that it cannot stand in, each with its degrees. */
function CandidatesOnFoot() {
  const stand = useStand();
  const { visit } = useExamined();
  const joint = swingsFrom(visit.limb?.level);
  const { candidates } = useCandidates();
  if (!stand) return <p className="text-faint">No prosthesis is noted: say under Ask which side has one.</p>;
  const read = candidates?.onFoot;
  if (!candidates || !read) return <p role="status">Checking the catalogue on this foot …</p>;
  const rows: { model: ShoeModel; on: OnFoot }[] = candidates.usable
    .slice(0, SHOWN)
    .map(({ model }) => ({ model, on: read(model) }));
  const out = candidates.excluded.flatMap(({ id }) => {
    const model = candidates.byId.get(id);
    const on = model && read(model);
    return model && on && on.refusals.length > 0 ? [{ model, on }] : [];
  });
  return (
    <section aria-label="Candidates on this foot" className="grid gap-2">
      <DataTable
        spacing="close"
        rows={rows}
        keyOf={({ model }) => model.id}
        columns={[
          { id: 'shank', head: 'Shank', cell: ({ on }) => <Shank angleDeg={on.shank?.angleDeg ?? null} /> },
          { id: 'shoe', head: 'Shoe', namesRow: true, cell: ({ model }) => modelTitle(model) },
          {
            id: 'rise',
            head: 'Rise, insole in',
            cell: ({ on }) => (
              <span className="figure">
                {on.riseMm === null ? 'not stated' : `${tenths(on.riseMm)} mm`}
                {on.riseOutMm && (
                  <span className="block text-faint">
                    out {tenths(on.riseOutMm.from)}–{tenths(on.riseOutMm.to)}
                  </span>
                )}
              </span>
            ),
          },
          {
            id: 'wedge',
            head: 'Wedge',
            cell: ({ on }) => (
              <span className="figure">{on.shank?.wedgeMm ? `${tenths(on.shank.wedgeMm)} mm` : 'none'}</span>
            ),
          },
          {
            id: 'verdict',
            head: 'On this foot',
            cell: ({ on }) => (
              <>
                <strong className={verdictOnFoot(on) === 'fine' ? '' : 'text-hold'}>
                  {ON_FOOT_LABEL[verdictOnFoot(on)]}
                </strong>
                . {[...(on.shank ? [on.shank.sentence] : []), ...on.checks].join(' ')}
              </>
            ),
          },
          {
            id: 'swing',
            head: 'Swing, to usual',
            cell: ({ on }) => on.swing && <SwingOf swing={swingOf(on.swing.massG, joint)} />,
          },
        ]}
      />
      {out.length > 0 && (
        <details>
          <summary className="cursor-pointer">{out.length} cannot stand on this foot</summary>
          <ul className="columns-2 gap-6">
            {out.map(({ model, on }) => (
              <li key={model.id} className="break-inside-avoid">
                <span className="font-medium">{modelTitle(model)}</span>:{' '}
                {on.refusals.map(({ sentence }) => sentence).join(' ')}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

/** What the leg feels of a shoe’s mass, and against a usual shoe. */
function SwingOf({ swing: { inertia, percent, joint } }: { swing: Swing }) {
  return (
    <span
      className="figure"
      title={`mass × distance² about the ${joint}, ${joint} to shoe taken as ${SWINGS_CM[joint]} cm`}
    >
      {Math.round(inertia)} kg·cm²
      <span className="block text-faint">
        {percent >= 0 ? '+' : '−'}
        {Math.abs(Math.round(percent))} %, {joint}
      </span>
    </span>
  );
}

const tenths = (mm: number): number => Math.round(mm * 10) / 10;

/** Any shoe by its heel rise: one that was brought, or that no catalogue knows. */
function OtherShoe() {
  const { store, state, visit } = useExamined();
  const stand = useStand();
  const content = store.content('prosthesis');
  const typed = state.steps.prosthesis.typed;
  const { setRiseMm, leverMm, ankleToMm } = stand?.foot ?? {
    setRiseMm: null,
    leverMm: null,
    ankleToMm: null,
  };
  const answer =
    setRiseMm !== null && leverMm !== null && content.shoeRise !== undefined
      ? shankAlignment(
          { shoeRiseMm: content.shoeRise, setRiseMm, leverMm, ankleToMm: ankleToMm ?? undefined },
          visit.house.settings.prosthesis,
        )
      : null;
  return (
    <section aria-label="Another shoe" className="flex gap-6 items-start">
      <Measure
        definition={RISE}
        value={content.shoeRise}
        typed={typed.shoeRise}
        onChange={(shoeRise, text) =>
          store.change(
            'prosthesis',
            shoeRise === undefined ? {} : { shoeRise },
            text === undefined ? {} : { ...typed, shoeRise: text },
          )
        }
      />
      {answer?.ok && <Shank angleDeg={answer.value.angleDeg} />}
      <p role="status">
        {answer === null ? (
          <span className="text-faint">
            {setRiseMm !== null && leverMm !== null
              ? 'Another shoe: write its heel rise.'
              : 'Another shoe, by its heel rise: needs set rise and heel–ball length of the foot.'}
          </span>
        ) : answer.ok ? (
          answer.value.sentence
        ) : (
          answer.problem.message
        )}
      </p>
    </section>
  );
}

/** The shank from the side against the vertical; the lean is drawn three times as large as it is. */
function Shank({ angleDeg }: { angleDeg: number | null }) {
  if (angleDeg === null) return <span className="text-hold">?</span>;
  return (
    <svg
      viewBox="0 0 90 110"
      className="h-12"
      role="img"
      aria-label={`Shank ${Math.abs(angleDeg).toFixed(1)} degrees ${angleDeg >= 0 ? 'forward' : 'back'}`}
    >
      <line x1="40" y1="96" x2="40" y2="6" stroke="var(--rule)" strokeDasharray="3 3" />
      <g transform={`rotate(${angleDeg * 3} 40 92)`} stroke="var(--draw-line)" fill="var(--draw-upper)">
        <path d="M34 92 L36 40 L30 8 H52 L46 40 L46 92 Z" />
      </g>
      <path
        d="M30 104 C28 96 34 92 44 92 C60 94 78 97 80 104 Z"
        fill="var(--draw-foam)"
        stroke="var(--draw-line)"
      />
    </svg>
  );
}

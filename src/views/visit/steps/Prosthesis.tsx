import { numberQuestion } from '@/core/findings/finding-kinds';
import { shankAlignment } from '@/core/prosthesis/shank-alignment';
import { type SockKind, sockStack } from '@/core/prosthesis/sock-stack';
import { Measure } from '@/ui/fields/Measure';
import { DataTable } from '@/ui/table/DataTable';
import { FindingField } from '../FindingField';
import { useVisit } from '../visit-context';

const RISE = numberQuestion('Shoe’s heel rise', 'mm', [0, 120], { plausible: [0, 40] });
const PLY = numberQuestion('Wanted ply', 'count', [0, 40], { plausible: [0, 15], whole: true });
const KINDS = [1, 2, 3, 5, 6] as const;

/** Shank alignment and sock stack, drawn and computed as they are typed. */
export function Prosthesis() {
  return (
    <div className="grid gap-5">
      <div className="flex flex-wrap gap-6">
        <FindingField id="prosthesisSetRise" />
        <FindingField id="prosthesisLever" />
        <FindingField id="prosthesisMonths" />
      </div>
      <Alignment />
      <Socks />
    </div>
  );
}

function Alignment() {
  const { picture, store, state } = useVisit();
  const content = store.content('prosthesis');
  const typed = state.steps.prosthesis.typed;
  const { prosthesisSetRise: set, prosthesisLever: lever } = picture.body;
  const ready = typeof set === 'number' && typeof lever === 'number' && content.shoeRise !== undefined;
  const answer = ready
    ? shankAlignment({ shoeRiseMm: content.shoeRise!, setRiseMm: set, leverMm: lever })
    : null;
  return (
    <section aria-label="Shank alignment" className="flex gap-6 items-start">
      {answer?.ok && <Shank angleDeg={answer.value.angleDeg} />}
      <div className="grid gap-2">
        <Measure
          definition={RISE}
          value={content.shoeRise}
          typed={typed.shoeRise}
          onChange={(shoeRise, text) =>
            store.change(
              'prosthesis',
              without({ ...content, shoeRise }),
              text === undefined ? {} : { ...typed, shoeRise: text },
            )
          }
        />
        <p role="status">
          {answer === null ? (
            <span className="text-faint">Enter the three heights to see the shank.</span>
          ) : answer.ok ? (
            answer.value.sentence
          ) : (
            answer.problem.message
          )}
        </p>
      </div>
    </section>
  );
}

const without = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, entry]) => entry !== undefined)) as T;

/** The shank from the side against the vertical; the lean is drawn three times as large as it is. */
function Shank({ angleDeg }: { angleDeg: number }) {
  return (
    <svg
      viewBox="0 0 90 110"
      className="h-28"
      role="img"
      aria-label={`Shank ${angleDeg.toFixed(1)} degrees ${angleDeg >= 0 ? 'forward' : 'back'}`}
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

function Socks() {
  const { store, state } = useVisit();
  const content = store.content('prosthesis');
  const typed = state.steps.prosthesis.typed;
  const inventory = content.inventory ?? [];
  const quantityOf = (ply: number, hole: boolean) =>
    inventory.find((kind) => kind.ply === ply && kind.hole === hole)?.quantity ?? 0;
  const setQuantity = (ply: number, hole: boolean, quantity: number) => {
    const rest = inventory.filter((kind) => kind.ply !== ply || kind.hole !== hole);
    const next: SockKind[] = quantity > 0 ? [...rest, { ply, hole, quantity }] : rest;
    store.change('prosthesis', { ...content, inventory: next });
  };
  const answer =
    content.wantedPly === undefined
      ? null
      : sockStack(inventory, content.wantedPly, content.needsHole ?? false);
  return (
    <section aria-label="Prosthetic socks" className="flex flex-wrap gap-6 items-start">
      <DataTable
        className=""
        fitted
        rows={[false, true]}
        keyOf={String}
        columns={[
          {
            id: 'kind',
            head: 'Socks in the drawer',
            namesRow: true,
            cell: (hole) => (hole ? 'with a hole' : 'closed'),
          },
          ...KINDS.map((ply) => ({
            id: String(ply),
            head: `${ply}-ply`,
            cell: (hole: boolean) => (
              <input
                type="number"
                min={0}
                max={30}
                className="w-14"
                aria-label={`${ply}-ply socks ${hole ? 'with a hole' : 'closed'}`}
                value={quantityOf(ply, hole) || ''}
                onChange={(event) =>
                  setQuantity(
                    ply,
                    hole,
                    Math.min(30, Math.max(0, Math.trunc(Number(event.target.value) || 0))),
                  )
                }
              />
            ),
          })),
        ]}
      />
      <div className="grid gap-2 max-w-72">
        <Measure
          definition={PLY}
          value={content.wantedPly}
          typed={typed.wantedPly}
          onChange={(wantedPly, text) =>
            store.change(
              'prosthesis',
              without({ ...content, wantedPly }),
              text === undefined ? {} : { ...typed, wantedPly: text },
            )
          }
        />
        <label className="flex gap-2 items-center">
          <input
            type="checkbox"
            checked={content.needsHole ?? false}
            onChange={(event) => store.change('prosthesis', { ...content, needsHole: event.target.checked })}
          />
          pin or lanyard: needs a hole
        </label>
        <p role="status">
          {answer?.ok && answer.value.sentence}
          {answer?.ok && answer.value.caution && (
            <span className="block text-hold">{answer.value.caution}</span>
          )}
          {answer && !answer.ok && answer.problem.message}
        </p>
      </div>
    </section>
  );
}

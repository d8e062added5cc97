import { useState } from 'react';
import { pictureOf } from '@/core/catalogue/drawing-of-model';
import { modelTitle, type ShoeModel } from '@/core/catalogue/model';
import { SIDES } from '@/core/findings/finding-kinds';
import { insertOf } from '@/core/match/insert';
import { scoreInWords } from '@/core/match/score-in-words';
import { betweenSides, ROUTES, threeRoutes, type WithInsert, withInsert } from '@/core/match/with-insert';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { DataTable } from '@/ui/table/DataTable';
import type { CandidatesView } from '../../use-candidates';
import { useExamined } from '../../visit-context';

const SHOWN = 6;

const mm = (value: number | null): string =>
  value === null ? 'not known' : `${value < 0 ? '−' : ''}${Math.round(10 * Math.abs(value)) / 10} mm`;

/** Shoe and insert as one on each foot, what must match between them, and the three ways to go. */
export function ShoeAndInsert({ candidates }: { candidates: CandidatesView }) {
  const { picture } = useExamined();
  const [picked, setPicked] = useState(0);
  const shown = candidates.usable.slice(0, SHOWN);
  const candidate = shown[picked] ?? shown[0];
  if (!candidate) return <p>No model is left to take an insert.</p>;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap gap-2" role="group" aria-label="Which shoe">
        {shown.map(({ model }, at) => (
          <button
            key={model.id}
            type="button"
            aria-pressed={candidate.model.id === model.id}
            className={`press ${candidate.model.id === model.id ? 'press-main' : ''}`}
            onClick={() => setPicked(at)}
          >
            {modelTitle(model)}
          </button>
        ))}
      </div>
      <AsOne model={candidate.model} />
      <section aria-label="Three ways" className="grid gap-2 border-t border-line pt-2">
        <h2>Three ways, each with the best shoe for it</h2>
        <ul className="grid grid-cols-3 gap-4">
          {threeRoutes(candidates.usable).map(({ id, candidate: best }) => (
            <li key={id} className="grid gap-1 content-start">
              <strong>{ROUTES[id]}</strong>
              {best ? (
                <>
                  <ShoeDrawing drawing={pictureOf(best.model)} className="w-40" />
                  <span>
                    {modelTitle(best.model)}, <span className="figure">{scoreInWords(best.entry)}</span> of
                    what is wanted
                  </span>
                  {id === 'insert' &&
                    SIDES.map((side) => {
                      const insert = insertOf(picture, side);
                      const one = insert && withInsert(best.model, insert, side);
                      return (
                        one && (
                          <span key={side} className="text-faint figure">
                            {side}: heel {mm(one.heelMm)}, drop {mm(one.dropMm)}
                          </span>
                        )
                      );
                    })}
                </>
              ) : (
                <span className="text-hold">No candidate within the limits goes this way.</span>
              )}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

function AsOne({ model }: { model: ShoeModel }) {
  const { picture } = useExamined();
  const sides = SIDES.map((side) => {
    const insert = insertOf(picture, side);
    return insert && withInsert(model, insert, side);
  });
  const between = betweenSides(model.features, sides[0]!, sides[1]!, picture);
  const rows = sides.flatMap((one) => one ?? []);
  return (
    <section aria-label="Shoe and insert as one" className="grid gap-2">
      <DataTable
        spacing="close"
        rows={rows}
        keyOf={({ side }) => side}
        columns={[
          { id: 'side', head: 'Foot', namesRow: true, cell: ({ side }) => side },
          { id: 'insole', head: 'Own insole', cell: ({ insoleOut }) => (insoleOut ? 'out' : 'stays in') },
          {
            id: 'heel',
            head: 'Heel stands at',
            cell: ({ heelMm }) => <span className="figure">{mm(heelMm)}</span>,
          },
          {
            id: 'forefoot',
            head: 'Forefoot at',
            cell: ({ forefootMm }) => <span className="figure">{mm(forefootMm)}</span>,
          },
          { id: 'drop', head: 'Drop', cell: ({ dropMm }) => <span className="figure">{mm(dropMm)}</span> },
          { id: 'depth', head: 'Depth left, heel and toes', cell: (one) => <Depth of={one} /> },
          {
            id: 'look',
            head: 'Look at',
            cell: ({ problems }) =>
              problems.length === 0
                ? 'nothing to put right'
                : problems.map((line) => <p key={line}>{line}</p>),
          },
        ]}
      />
      {between.map((line) => (
        <p key={line} className="text-hold">
          {line}
        </p>
      ))}
    </section>
  );
}

function Depth({ of: { depthLeftMm } }: { of: WithInsert }) {
  return (
    <span className="figure">
      {mm(depthLeftMm.heel)}, {mm(depthLeftMm.forefoot)}
    </span>
  );
}

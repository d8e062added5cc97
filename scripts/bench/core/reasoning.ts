// The reasoning over a full picture: resolve, what targets hang on, what to ask next.

import { deriveFindings } from '@/core/examination/derive';
import { SIDES } from '@/core/findings/finding-kinds';
import { definitionOf, FINDING_IDS } from '@/core/findings/findings';
import { enteredPicture, type Findings } from '@/core/findings/picture';
import { RULES } from '@/core/knowledge/knowledge-base';
import { askNext } from '@/core/prescribe/counterfactual/ask-next';
import { relianceOf } from '@/core/prescribe/counterfactual/reliance';
import { BUILT_IN, resolve } from '@/core/prescribe/engine/resolve';
import { boardOf } from '@/core/prescribe/explain/board';
import { compareSchools } from '@/core/prescribe/explain/compare-schools';
import { say, timed } from '../timed';

/** Every finding taken: the middle of its range, the second option of a choice, the first of a set. */
function everything(): Findings {
  const part = (scope: 'body' | 'foot') =>
    Object.fromEntries(
      FINDING_IDS.filter((id) => definitionOf(id).scope === scope && definitionOf(id).kind !== 'text').map(
        (id) => {
          const definition = definitionOf(id);
          if (definition.kind === 'number') {
            const [low, high] = definition.plausible;
            const middle = (low + high) / 2;
            return [id, definition.whole ? Math.round(middle) : middle];
          }
          const options = 'options' in definition ? Object.keys(definition.options) : [];
          return [id, definition.kind === 'set' ? options.slice(0, 2) : (options[1] ?? options[0])];
        },
      ),
    );
  return { body: part('body'), left: part('foot'), right: part('foot') } as Findings;
}

const entered = enteredPicture(everything());
const full = deriveFindings(entered);
const bare = enteredPicture({ body: { ageYears: 70, activities: ['walking', 'road-running'] } });
const specification = resolve(full);
const questions = askNext(bare, { knowledge: BUILT_IN });
const board = boardOf(specification, full, BUILT_IN);
const taken = FINDING_IDS.filter((id) =>
  SIDES.some((side) => (full[side] as Record<string, unknown>)[id] !== undefined || id in full.body),
).length;

const resolved = timed(() => resolve(full), 400);
const once = { what: 'resolve', value: resolved };
say({
  what: `resolve, every finding taken (${taken} findings, ${RULES.length} rules, ${specification.targets.length} targets)`,
  value: resolved,
  unit: 'ms',
  wanted: 2,
});
say({
  what: 'what every target hangs on',
  value: timed(() => relianceOf(entered, { knowledge: BUILT_IN }), 60),
  unit: 'ms',
  wanted: 10,
  floor: once,
});
say({
  what: `ask next over ${questions.length} unknowns`,
  value: timed(() => askNext(bare, { knowledge: BUILT_IN }), 40),
  unit: 'ms',
  wanted: 40,
  floor: { what: 'resolve of this picture', value: timed(() => resolve(deriveFindings(bare)), 200) },
});
say({ what: 'four schools compared', value: timed(() => compareSchools(full), 60), unit: 'ms', floor: once });
say({
  what: `board of ${board.rows.length} findings × ${board.columns.length} features`,
  value: timed(() => boardOf(specification, full, BUILT_IN), 60),
  unit: 'ms',
});

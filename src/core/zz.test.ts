import { it } from 'vitest';
import { demoClinic } from '@/demo/clinic';
import { examined } from '@/demo/examination';
import { random } from '@/demo/random';
import { filterModels } from './catalogue/filter';
import { clinicalPicture } from './examination/clinical-picture';
import { enteredPicture } from './findings/picture';
import { candidatesOf, obtainable, proposeFrom } from './match/candidates';
import { rank } from './match/rank';
import { resolve } from './prescribe/engine/resolve';
import { firmnessWord, targetInWords } from './prescribe/explain/in-words';
import { findingsForPair, pairsAskedFor } from './purpose/pairs';
import { sizePair } from './sizing/size-pair';

const demo = demoClinic('2030-06-15');
it('judge', () => {
  const counts: Record<string, number> = {};
  const miss: Record<string, number> = {};
  for (const { persona } of demo.patients) {
    const f = examined(persona, random(1));
    f.body = { ...f.body, sizingGroup: persona.group };
    const pairs = pairsAskedFor(enteredPicture(f));
    for (const pair of pairs) {
      const pic = clinicalPicture(findingsForPair(f, pair, pairs));
      const spec = resolve(pic);
      const { matching, unknown } = filterModels(demo.models, { group: persona.group });
      const models = [...matching, ...unknown];
      const byId = new Map(models.map((m) => [m.id, m]));
      const r = rank(obtainable(models), spec);
      const { usable } = candidatesOf(r.ranked, byId, (m) => sizePair(m.sizing, pic, spec, {}));
      const t = proposeFrom(usable, byId, spec);
      counts[t.proposals.length] = (counts[t.proposals.length] ?? 0) + 1;
      if (t.proposals.length < 3)
        for (const b of t.because) {
          const k = b.split(':')[0]!;
          miss[k] = (miss[k] ?? 0) + 1;
        }
      console.log(
        persona.family,
        '|',
        pair.label,
        '| usable',
        usable.length,
        'of',
        models.length,
        '| dead',
        spec.deadlocks.map((d) => d.message).join(';'),
      );
      if (t.proposals.length < 2)
        console.log(
          '   ',
          t.because.join(' / '),
          '\n    ',
          spec.targets
            .filter((x) => firmnessWord(x) === 'strong' || firmnessWord(x) === 'limit')
            .map((x) => x.feature + ' ' + targetInWords(x) + ' (' + firmnessWord(x) + ')')
            .join(', '),
        );
      for (const p of t.proposals)
        console.log('    ', p.role, byId.get(p.id)!.name, byId.get(p.id)!.features.use, p.teaches);
    }
  }
  console.log(counts, miss);
});

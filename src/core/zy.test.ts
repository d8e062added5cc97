import { it } from 'vitest';
import { clinicalPicture } from './examination/clinical-picture';
import { resolve } from './prescribe/engine/resolve';
import { firmnessWord, targetInWords } from './prescribe/explain/in-words';

it('x', () => {
  const both = (f: any) => ({ left: f, right: f });
  const show = (s: any) =>
    console.log(
      s.targets
        .map((t: any) => `${t.feature}: ${targetInWords(t)} [${firmnessWord(t)}] best ${t.best}`)
        .join('\n'),
    );
  show(resolve(clinicalPicture({ body: { activities: ['court'], sizingGroup: 'men' } })));
  show(resolve(clinicalPicture(both({ arch: 'high', roll: 'out' })), { school: 'shape' }));
  const t = resolve(
    clinicalPicture({
      body: { activities: ['lifting-upright'] },
      ...both({ pain: ['knee-front'], lungeDistance: 12 }),
    }),
  ).targets.find((t) => t.feature === 'drop');
  console.log(
    t!.best,
    t!.tension,
    t!.pushes.map((p) => [p.rule, p.weight, JSON.stringify(p.want)]),
  );
});

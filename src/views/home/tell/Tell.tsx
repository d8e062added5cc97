/** @jsxImportSource preact */
import { Fold } from '../Parts';
import { Ache } from './Ache';
import { Blister } from './Blister';
import { Comfort } from './Comfort';
import { Girth } from './Girth';
import { NewPair } from './NewPair';
import { NumberForm } from './NumberForm';
import { Photo } from './Photo';
import { Socks } from './Socks';
import type { TellProps } from './sending';
import { Walk } from './Walk';

/** All that can be told, one part open at a time. */
export function Tell({ view, pair, say }: TellProps) {
  const { words } = view;
  const props = { view, pair, say };
  const use = pair && { km: words.useKm, hours: words.useHours, days: words.useDays }[pair.use];
  return (
    <section>
      <h1 class="mb-3">{words.tell}</h1>
      {view.limb && (
        <Fold title={words.socks} isOpen>
          <Socks {...props} />
        </Fold>
      )}
      {pair && use && (
        <>
          <Fold title={use}>
            <NumberForm {...props} label={use} toContent={(amount) => ({ kind: 'use', amount })} most={500} />
          </Fold>
          <Fold title={words.comfort}>
            <Comfort {...props} />
          </Fold>
          <Fold title={words.blister}>
            <Blister {...props} />
          </Fold>
        </>
      )}
      {view.pairs.length > 0 && (
        <Fold title={words.ache}>
          <Ache {...props} />
        </Fold>
      )}
      <Fold title={words.picture}>
        <Photo {...props} />
      </Fold>
      <Fold title={words.clip}>
        <Walk {...props} />
      </Fold>
      {view.swells && (
        <Fold title={words.girth}>
          <Girth {...props} />
        </Fold>
      )}
      <Fold title={words.newPair}>
        <NewPair {...props} />
      </Fold>
    </section>
  );
}

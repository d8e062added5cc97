import type { SockDay } from '../prosthesis/sock-advice';
import { groupBy } from '../tables/group-by';
import type { Say } from '../texts/speech';

/** What the patient's own page says of the socks of today. */
export interface LimbWords {
  /** What to do now; a stop comes before everything. */
  now: string;
  isStop: boolean;
  /** What the rest of the day will ask for; null where too little is known. */
  later: string | null;
  /** What to take along; null where nothing can be said. */
  carry: string | null;
  /** Ply that is on by the last look of today, for the next one. */
  worn: number | null;
}

/** The socks of today in the patient’s words. With pain or a warning no ply is named at all. */
export function limbWords({ step, worn, range, carry }: SockDay, say: Say): LimbWords {
  const list = (socks: readonly number[]) =>
    [...groupBy(socks, String)]
      .map(([ply, same]) => say('home.socks.one', { count: String(same.length), ply }))
      .join(' + ');
  const now = () => {
    switch (step.kind) {
      case 'stop':
        return say('home.socks.stop');
      case 'none-left':
        return say('home.socks.none-left');
      case 'stay':
        return say('home.socks.stay');
      case 'no-look':
        return say('home.socks.no-look');
      case 'add':
      case 'take-off': {
        const by = String(step.by);
        const change = say(step.kind === 'add' ? 'home.socks.add' : 'home.socks.take-off', { by });
        const wear =
          step.to === 0
            ? say('home.socks.bare')
            : step.socks
              ? say('home.socks.wear', { socks: list(step.socks) })
              : say('home.socks.cannot', { ply: String(step.to) });
        return `${change} ${wear}`;
      }
    }
  };
  const isStop = step.kind === 'stop' || step.kind === 'none-left';
  return {
    now: now(),
    isStop,
    worn,
    later:
      range === null || isStop
        ? null
        : range.from === range.to
          ? say('home.socks.later-one', { from: String(range.from) })
          : say('home.socks.later', { from: String(range.from), to: String(range.to) }),
    carry:
      carry === null || isStop || carry.carry.length === 0
        ? null
        : say('home.socks.carry', { socks: list(carry.carry) }),
  };
}

import { listenTo } from '../database/connection';
import { type Found, Remembered } from '../database/remembered';
import type { SignedIn } from './actor';

type ByCookie = SignedIn & { by: 'cookie' };

/** A minute at most: a session in use is asked for again, which is what keeps it from ending as idle. Ours. */
const remembered = new Remembered<ByCookie>((hearing) => listenTo('sign_in', hearing), {
  longestMs: 60_000,
  most: 5000,
});

/** Everybody is asked for again: after a change that was made here, which is to hold for the very next request. */
export const forgetEverybody = (): void => remembered.forgetAll();

/** Who was found behind a cookie, kept for as long as the database tells of no change of their session, seat or clinic. */
export const rememberedBehind = (
  cookie: string,
  find: () => Promise<{ who: ByCookie; until: number } | null>,
): Promise<SignedIn | null> =>
  remembered.of(cookie, null, async (): Promise<Found<ByCookie> | null> => {
    const found = await find();
    return (
      found && {
        value: found.who,
        about: [found.who.accountId, found.who.actor.clinicId],
        until: found.until,
      }
    );
  });

import type { Role } from '@/contract/routes';
import { type Formats, USUAL_FORMATS } from '@/core/formats/formats';
import { authDatabase } from '../database/connection';
import type { Actor } from '../database/tenant';

/** A seat of somebody in a clinic, as they see it before they take it. */
export interface Seat {
  id: string;
  clinic: string;
  place: string;
}

/** What a request may do from where it sits. */
export interface Seated {
  actor: Actor;
  formats: Formats;
  /** Whether the account asks for a code after the password. */
  secondFactor: boolean;
  /** The clinic asks for a second factor that this account does not have yet. */
  lacksSecondFactor: boolean;
  /** Seats of this account, here and in other clinics. */
  seats: number;
}

interface SeatRow {
  userId: string;
  clinicId: string;
  role: Role;
  name: string;
  siteId: string | null;
  formats: Partial<Formats>;
  secondFactor: boolean;
  lacksSecondFactor: boolean;
  seats: number;
}

/** Who sits there, with what their clinic asks for; the account of a seat is its own, or the one that its person confirmed. */
const SEATED = `select seat.id as "userId", seat.clinic_id as "clinicId", seat.role, seat.name, seat.site_id as "siteId",
    clinic.formats, account."twoFactorEnabled" as "secondFactor",
    clinic.second_factor_required and not account."twoFactorEnabled" as "lacksSecondFactor",
    (select count(*)::int from auth."user" mine
      where (mine.id = account.id or mine.person_of = account.id) and mine.standing = 'active') as seats
  from auth."user" seat
  join auth."user" account on account.id = coalesce(seat.person_of, seat.id)
  join public.clinic on clinic.clinic_id = seat.clinic_id`;

const seated = ({ formats, secondFactor, lacksSecondFactor, seats, ...actor }: SeatRow): Seated => ({
  actor,
  formats: { ...USUAL_FORMATS, ...formats },
  secondFactor,
  lacksSecondFactor,
  seats,
});

/**
 * Where somebody sits: at the seat that they chose, else at their own, else at any other that is still theirs; null where
 * none is.
 */
export async function seatOf(accountId: string, chosen: string | null): Promise<Seated | null> {
  const { rows } = await authDatabase().query<SeatRow>(
    `${SEATED} where account.id = $1 and seat.standing = 'active'
     order by seat.id = $2 desc, seat.id = account.id desc, seat.id limit 1`,
    [accountId, chosen],
  );
  return rows[0] ? seated(rows[0]) : null;
}

/** The seat of a machine that holds a token. */
export async function seatOfToken(userId: string, clinicId: string): Promise<Seated | null> {
  const { rows } = await authDatabase().query<SeatRow>(
    `${SEATED} where seat.id = $1 and seat.clinic_id = $2 and seat.standing = 'active'`,
    [userId, clinicId],
  );
  return rows[0] ? seated(rows[0]) : null;
}

/** Notes that somebody comes in, at the seat where they will sit; null where none is theirs. */
export async function takeSeat(accountId: string): Promise<Seated | null> {
  const seat = await seatOf(accountId, null);
  if (seat)
    await authDatabase().query('update auth."user" set "lastSignInAt" = now() where id = $1', [
      seat.actor.userId,
    ]);
  return seat;
}

/** Every seat of an account, by name of the clinic. */
export async function seatsOf(accountId: string): Promise<Seat[]> {
  const { rows } = await authDatabase().query<Seat>(
    `select seat.id, clinic.name as clinic, clinic.place from auth."user" seat
     join public.clinic on clinic.clinic_id = seat.clinic_id
     where (seat.id = $1 or seat.person_of = $1) and seat.standing = 'active' order by clinic.name, seat.id`,
    [accountId],
  );
  return rows;
}

/**
 * Moves one session to another seat of the same account. The session then stands behind that clinic's wall: its lead sees
 * it and can end it, the other's no longer.
 */
export async function changeSeat(sessionId: string, accountId: string, seat: string): Promise<boolean> {
  const { rowCount } = await authDatabase().query(
    `update auth.session set seat = seat.id, clinic_id = seat.clinic_id from auth."user" seat
     where auth.session.id = $1 and auth.session."userId" = $2 and seat.id = $3
       and (seat.id = $2 or seat.person_of = $2) and seat.standing = 'active'`,
    [sessionId, accountId, seat],
  );
  if (rowCount !== 1) return false;
  await authDatabase().query('update auth."user" set "lastSignInAt" = now() where id = $1', [seat]);
  return true;
}

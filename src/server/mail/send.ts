import { createTransport, type Transporter } from 'nodemailer';
import { authDatabase } from '../database/connection';
import { codeOf } from '../database/outage';
import { log } from '../http/log';

const MOST_TRIES = 6;
const AT_A_TIME = 20;

let transport: Transporter | null | undefined;

/** The mail server that the operator named, or null: letters are then shown in the outbox and go nowhere. */
function mailServer(): Transporter | null {
  if (transport === undefined)
    transport = process.env.SOVET_SMTP
      ? createTransport(process.env.SOVET_SMTP, {
          from: process.env.SOVET_MAIL_FROM ?? 'Sovet <sovet@localhost>',
        })
      : null;
  return transport;
}

/** Looks again which mail server is named. */
export function forgetMailServer(): void {
  transport?.close();
  transport = undefined;
}

/** A letter that was sent keeps no link that still opens something. */
const withoutLinks = (body: string): string =>
  body.replace(/https?:\/\/\S+/g, '(the link was in the letter)');

/** Sends what waits, each letter once whatever number of copies run; one that fails is tried again, later each time. */
export async function sendWaitingMail(): Promise<number> {
  const server = mailServer();
  const client = await authDatabase().connect();
  let sent = 0;
  try {
    for (let at = 0; at < AT_A_TIME; at += 1) {
      await client.query('begin');
      const { rows } = await client.query<{
        clinic_id: string;
        id: string;
        recipient: string;
        subject: string;
        body: string;
        tries: number;
      }>(
        `select clinic_id, id, recipient, subject, body, tries from public.mail
         where state = 'waiting' and next_try_at <= now() order by next_try_at limit 1 for update skip locked`,
      );
      const [letter] = rows;
      if (!letter) {
        await client.query('rollback');
        return sent;
      }
      const settle = (state: string, problem: string | null, body = letter.body) =>
        client.query(
          `update public.mail set state = $3, problem = $4, body = $5, tries = tries + 1,
             sent_at = case when $3 = 'sent' then now() end, next_try_at = now() + make_interval(secs => 30 * power(3, tries))
           where clinic_id = $1 and id = $2`,
          [letter.clinic_id, letter.id, state, problem, body],
        );
      if (!server) await settle('shown', null);
      else
        try {
          await server.sendMail({ to: letter.recipient, subject: letter.subject, text: letter.body });
          await settle('sent', null, withoutLinks(letter.body));
        } catch (error) {
          const code = codeOf(error) ?? 'failed';
          log.warn({ err: error, mail: letter.id }, 'a letter could not be sent');
          await settle(
            letter.tries + 1 >= MOST_TRIES ? 'failed' : 'waiting',
            `The mail server did not take it (${code}).`,
            letter.tries + 1 >= MOST_TRIES ? withoutLinks(letter.body) : letter.body,
          );
        }
      await client.query('commit');
      sent += 1;
    }
    return sent;
  } catch (error) {
    await client.query('rollback').catch(() => null);
    throw error;
  } finally {
    client.release();
  }
}

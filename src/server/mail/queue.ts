import type { Tenant } from '../database/tenant';

/** A letter that waits to be sent. */
export interface QueuedLetter {
  recipient: string;
  subject: string;
  body: string;
  /** Not before that; at once where it is absent. */
  sendAt?: Date;
}

/** Puts a letter into the outbox, within the transaction of what it is about. */
export async function queueMail(
  { tx, actor }: Tenant,
  { recipient, subject, body, sendAt }: QueuedLetter,
): Promise<void> {
  await tx
    .insertInto('mail')
    .values({
      clinic_id: actor.clinicId,
      recipient,
      subject,
      body,
      problem: null,
      sent_at: null,
      ...(sendAt === undefined ? {} : { next_try_at: sendAt }),
    })
    .execute();
}

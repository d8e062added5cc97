import { contactInWords, contactsOfPair, type PairContact } from '@/core/aftercare/contacts';
import { initialsOf } from '@/core/aftercare/initials';
import { addDays } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { speechIn } from '@/core/texts/languages';
import { type CalendarDay, calendarFile } from '../../calendar/calendar-file';
import { audit, type Tenant } from '../../database/tenant';
import { notFound } from '../../http/problem';
import { today } from '../clock';
import { readBreakIn } from '../pairs/break-in';
import { pairsInUse } from '../pairs/in-use';
import { wordsFor } from '../people/texts';
import { readRecall } from '../recall/recall';
import { handOverOf } from '../visits/sheets';

/** How far the clinic's calendar looks ahead. */
const AHEAD_DAYS = 120;

/** The dates of a pair as a file for its wearer, in the language of the sheet. */
export async function datesOfPair(
  tenant: Tenant,
  visitId: string,
  specification: string | null,
): Promise<string> {
  const row = await handOverOf(tenant, visitId, specification);
  if (!row) throw notFound('This sheet');
  await audit(tenant, 'read', 'dates of a pair as calendar', row.patient_id);
  const { sheet } = row;
  const { language, house } = await wordsFor(tenant, sheet.language);
  const { say } = speechIn(language, house);
  const contacts = contactsOfPair({
    ...sheet,
    returnBy: row.return_by,
    breakIn: await readBreakIn(tenant, row.pair_id),
  });
  return calendarFile(
    say('date.calendar', { shoe: sheet.shoe }),
    language,
    contacts.map(({ kind, on }) => ({
      id: `${row.pair_id}-${kind}@sovet`,
      on,
      summary: contactInWords(kind, sheet.shoe, say),
      description: [sheet.clinic, sheet.phone].filter(Boolean).join(', '),
    })),
  );
}

type ClinicContact = Exclude<PairContact['kind'], 'break-in'>;

const WHAT: Readonly<Record<ClinicContact, string>> = {
  return: 'may go back until today',
  review: 'review after hand-over',
  next: 'next pair is due',
};

/**
 * What is due at the clinic in the next months as a file, each with initials and no name: a calendar leaves the house.
 *
 * @param origin of the application, for the link in each entry
 */
export async function clinicCalendar(tenant: Tenant, origin: string): Promise<string> {
  const now = today();
  const until = addDays(now, AHEAD_DAYS);
  const rows = await pairsInUse(tenant)
    .innerJoin('patient', (join) =>
      join.onRef('patient.id', '=', 'pair.patient_id').onRef('patient.clinic_id', '=', 'pair.clinic_id'),
    )
    .leftJoin('hand_over', (join) =>
      join.onRef('hand_over.pair_id', '=', 'pair.id').onRef('hand_over.clinic_id', '=', 'pair.clinic_id'),
    )
    .select([
      'pair.id',
      'pair.patient_id',
      'pair.return_by',
      'pair.start_next_on',
      'hand_over.review_on',
      'patient.given_name',
      'patient.family_name',
    ])
    .where('patient.archived_at', 'is', null)
    .where((is) =>
      is.or([
        is.and([is('pair.return_by', '>=', now), is('pair.return_by', '<=', until)]),
        is.and([is('pair.start_next_on', '>=', now), is('pair.start_next_on', '<=', until)]),
        is.and([is('hand_over.review_on', '>=', now), is('hand_over.review_on', '<=', until)]),
      ]),
    )
    .orderBy('pair.id')
    .execute();
  await audit(tenant, 'export', 'calendar of contacts', null);
  const ahead = (on: string | null): on is string => on !== null && on >= now && on <= until;
  const days = rows.flatMap((row): CalendarDay[] => {
    const who = initialsOf(`${row.given_name} ${row.family_name}`);
    const dates: [ClinicContact, string | null][] = [
      ['return', row.return_by],
      ['review', row.review_on],
      ['next', row.start_next_on],
    ];
    return dates.flatMap(([kind, on]) =>
      ahead(on)
        ? [
            {
              id: `${row.id}-${kind}@sovet`,
              on,
              summary: `${who}: ${WHAT[kind]}, ${modelTitle(row)}`,
              description: `${origin}/patients/${row.patient_id}`,
            },
          ]
        : [],
    );
  });
  // What stands in the way of a pair is due at once.
  const sore = await readRecall(tenant, { kinds: ['stop-wearing', 'refit-due'] });
  return calendarFile('Contacts', 'en', [
    ...days,
    ...sore.map(
      ({ kind, patient, what }): CalendarDay => ({
        id: `${patient.id}-${kind}@sovet`,
        on: now,
        summary: `${initialsOf(patient.name)}: ${kind === 'refit-due' ? 'refit' : 'must not be worn, call'}, ${what}`,
        description: `${origin}/patients/${patient.id}`,
      }),
    ),
  ]);
}

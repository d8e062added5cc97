import type { ClinicLanguage, ClinicTexts } from '@/contract/texts-schema';
import { fail } from '@/core/result/result';
import { checkText } from '@/core/texts/check-text';
import { keysFor, lacking, standardOf } from '@/core/texts/house-texts';
import { isShipped, SHIPPED } from '@/core/texts/languages';
import type { MessageFile } from '@/core/texts/speech';
import { directionOf, languageTag, nameOf } from '@/core/texts/tags';
import { audit, type Tenant } from '../../database/tenant';
import { Refusal, valueOrRefusal } from '../../http/problem';

/** The clinic's own sentences of a language. */
export async function houseTexts({ tx }: Tenant, language: string): Promise<MessageFile> {
  const rows = await tx
    .selectFrom('house_text')
    .select(['key', 'text'])
    .where('language', '=', language)
    .execute();
  return Object.fromEntries(rows.map(({ key, text }) => [key, text]));
}

/**
 * In which language and words something is written for somebody: theirs where every sentence of it is there, else English. A page is
 * never half one and half the other.
 */
export async function wordsFor(
  tenant: Tenant,
  wanted: string,
): Promise<{ language: string; house: MessageFile }> {
  const house = await houseTexts(tenant, wanted);
  return lacking(wanted, house).length === 0
    ? { language: wanted, house }
    : { language: 'en', house: await houseTexts(tenant, 'en') };
}

/** Every language that sheets can be written in, or that the clinic has begun to add. */
export async function listLanguages({ tx }: Tenant): Promise<ClinicLanguage[]> {
  const rows = await tx.selectFrom('house_text').select(['language', 'key', 'text']).execute();
  const own = new Map<string, MessageFile>();
  for (const { language, key, text } of rows) own.set(language, { ...own.get(language), [key]: text });
  return [...new Set([...Object.keys(SHIPPED), ...own.keys()])].map((language) => ({
    language,
    name: nameOf(language),
    isShipped: isShipped(language),
    own: Object.keys(own.get(language) ?? {}).length,
    lacking: lacking(language, own.get(language) ?? {}).length,
  }));
}

/** Languages that a patient can be given: those in which every sentence is written. */
export const languagesOffered = async (tenant: Tenant): Promise<{ language: string; name: string }[]> =>
  (await listLanguages(tenant))
    .filter((entry) => entry.lacking === 0)
    .map(({ language, name }) => ({ language, name }));

/** Every sentence of a language with the clinic's own beside it. */
export async function readTexts(tenant: Tenant, asked: string): Promise<ClinicTexts> {
  const language = valueOrRefusal(languageTag(asked));
  const house = await houseTexts(tenant, language);
  return {
    language,
    name: nameOf(language),
    direction: directionOf(language),
    isShipped: isShipped(language),
    texts: keysFor(language).map((key) => ({
      key,
      standard: standardOf(language, key),
      own: house[key] ?? null,
    })),
  };
}

/**
 * Keeps sentences of the clinic's own; an empty one gives its place back to the standard. Either all are kept or none, and each that
 * is refused is named.
 */
export async function changeTexts(
  tenant: Tenant,
  asked: string,
  texts: Readonly<Record<string, string>>,
): Promise<ClinicTexts> {
  const language = valueOrRefusal(languageTag(asked));
  const known = new Set(keysFor(language));
  const checked = Object.entries(texts).map(([key, text]) => ({
    key,
    read: known.has(key)
      ? checkText(standardOf(language, key), text)
      : fail('unknown', `No sheet has a sentence “${key}”.`),
  }));
  const errors = checked.flatMap(({ key, read }) =>
    read.ok ? [] : [{ path: ['texts', key], message: read.problem.message }],
  );
  if (errors.length > 0) throw new Refusal(422, 'Some sentences cannot be used.', { errors });
  const { tx, actor } = tenant;
  const written = checked.flatMap(({ key, read }) => (read.ok ? [{ key, text: read.value }] : []));
  const isStandard = ({ key, text }: { key: string; text: string }) =>
    text === '' || (isShipped(language) && text === standardOf(language, key));
  const [back, own] = [written.filter(isStandard), written.filter((entry) => !isStandard(entry))];
  if (back.length > 0)
    await tx
      .deleteFrom('house_text')
      .where('language', '=', language)
      .where(
        'key',
        'in',
        back.map(({ key }) => key),
      )
      .execute();
  if (own.length > 0)
    await tx
      .insertInto('house_text')
      .values(
        own.map((entry) => ({ clinic_id: actor.clinicId, language, ...entry, changed_by: actor.userId })),
      )
      .onConflict((conflict) =>
        conflict.columns(['clinic_id', 'language', 'key']).doUpdateSet((eb) => ({
          text: eb.ref('excluded.text'),
          changed_by: actor.userId,
          changed_at: new Date(),
        })),
      )
      .execute();
  await audit(tenant, 'write', `sentences of sheets: ${language}, ${checked.length}`, null);
  return readTexts(tenant, language);
}

import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { keysFor, standardOf } from '@/core/texts/house-texts';
import { type Actor, asTenant } from '@/server/database/tenant';
import { erasePatient } from '@/server/services/patients/one-person';
import { addPatient, changePatient, readPatient } from '@/server/services/patients/patients';
import {
  changeTexts,
  houseTexts,
  languagesOffered,
  listLanguages,
  readTexts,
} from '@/server/services/people/texts';
import { asOwner, freshDatabase, type TestDatabase } from './database';
import { handedOver } from './handed-over';
import { refusal } from './signing-in';
import { somebodyCalled } from './worn-pair';

let db: TestDatabase;
let me: Actor;
let lead: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
  lead = db.clinicA.lead;
});
afterAll(() => db.drop());

const change = (language: string, texts: Record<string, string>) =>
  asTenant(lead, (tenant) => changeTexts(tenant, language, texts));

/** A language that nobody speaks, written from the right: each sentence in Hebrew letters, with its blanks. */
const pseudo = (text: string) =>
  `א ${text.replace(/\{\{\w+\}\}|\p{L}+/gu, (part) => (part.startsWith('{{') ? part : 'שלום'.slice(0, Math.max(1, part.length % 5))))}`;

describe('the words of a clinic', () => {
  it('stand on its sheets, and on those of no other clinic; the standard comes back when they are emptied', async () => {
    await change('en', { 'care.wet': 'Wet? Bring it to us at once.' });
    const sheet = (await handedOver(me)).sheet;
    expect(sheet.care).toContain('Wet? Bring it to us at once.');
    expect(await asTenant(db.clinicB.lead, (tenant) => houseTexts(tenant, 'en'))).toEqual({});
    await change('en', { 'care.wet': '' });
    expect((await handedOver(me)).sheet.care).toContain(standardOf('en', 'care.wet'));
    // What was handed over stays as it was.
    expect(sheet.care).toContain('Wet? Bring it to us at once.');
  });

  it('are refused as a whole, each at its place, when one lacks a blank or no sheet has it', async () => {
    const { extra } = await refusal(
      change('en', { 'dates.review': 'Come soon.', nonsense: 'x', 'care.rest': 'Let it rest.' }),
    );
    expect(extra.errors).toEqual([
      { path: ['texts', 'dates.review'], message: 'Keep {{on}} in it.' },
      { path: ['texts', 'nonsense'], message: 'No sheet has a sentence “nonsense”.' },
    ]);
    expect(await asTenant(me, (tenant) => houseTexts(tenant, 'en'))).toEqual({});
  });

  it('written as the standard has it are the standard', async () => {
    await change('de', { 'care.rest': standardOf('de', 'care.rest') });
    const german = (await asTenant(me, listLanguages)).find(({ language }) => language === 'de');
    expect(german).toEqual({ language: 'de', name: 'Deutsch', isShipped: true, own: 0, lacking: 0 });
  });
});

describe('a language that a clinic adds', () => {
  it('is offered to patients once each sentence is there, and then writes a whole sheet from the right', async () => {
    const keys = keysFor('he');
    const [last, ...most] = keys.map((key) => [key, pseudo(standardOf('he', key))] as const);
    await change('he', Object.fromEntries(most));
    const patientId = await somebodyCalled(me, 'Reads', '1980-01-01');
    const speak = (language: string) =>
      asTenant(me, (tenant) => changePatient(tenant, patientId, { language }));
    expect((await refusal(speak('he'))).extra.errors).toEqual([
      { path: ['language'], message: 'No sheet can be written in this language yet.' },
    ]);
    expect((await asTenant(me, languagesOffered)).map(({ language }) => language)).toEqual(['en', 'de']);
    await change('he', Object.fromEntries([last!]));
    await speak('he');
    expect((await asTenant(me, (tenant) => readPatient(tenant, patientId))).language).toBe('he');
    const { sheet } = await handedOver(me, { patientId });
    expect(sheet.direction).toBe('rtl');
    for (const line of [...sheet.care, ...sheet.dates, ...sheet.stopAndCall, sheet.caution, sheet.words.stop])
      expect(line).toMatch(/^א /);
    expect((await asTenant(me, (tenant) => readTexts(tenant, 'he'))).direction).toBe('rtl');
  });

  it('that lost a sentence writes no page half in another: the page is English', async () => {
    const patientId = await somebodyCalled(me, 'Loses', '1980-01-01');
    await asTenant(me, (tenant) => changePatient(tenant, patientId, { language: 'he' }));
    await change('he', { caution: '' });
    const { sheet } = await handedOver(me, { patientId });
    expect(sheet.language).toBe('en');
    expect(sheet.care).toContain(standardOf('en', 'care.wet'));
  });

  it('has to be a language', async () => {
    expect((await refusal(change('english please', {}))).extra.errors?.[0]?.message).toContain('Write a tag');
  });
});

describe('the language of a patient', () => {
  it('is written with a new patient, is the language of their sheets, and is forgotten with them', async () => {
    const { id } = await asTenant(me, (tenant) =>
      addPatient(tenant, {
        givenName: 'Test',
        familyName: 'Spricht',
        bornOn: '1970-02-02',
        sizingGroup: 'women',
        language: 'de',
      }),
    );
    const { sheet } = await handedOver(me, { patientId: id });
    expect(sheet.language).toBe('de');
    expect(sheet.words.stop).toMatch(/^Nicht mehr tragen/);
    await asTenant(lead, (tenant) =>
      erasePatient(tenant, id, { familyName: 'Spricht', reason: 'asked for' }),
    );
    const { rows } = await asOwner(db, (client) =>
      client.query('select language from patient where id = $1', [id]),
    );
    expect(rows).toEqual([{ language: 'en' }]);
  });
});

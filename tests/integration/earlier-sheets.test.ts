import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { patientSheetSchema } from '@/core/aftercare/sheet-schema';
import { asOwner, freshDatabase, type TestDatabase } from './database';

let db: TestDatabase;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());

/** A sheet as it was stored before the page was rewritten. */
const EARLIER = {
  patient: 'Ada Example',
  clinic: 'Test clinic',
  shoe: 'Testmaker One 1',
  size: 'EU 42 D',
  startedOn: '2030-03-04',
  reviewOn: '2030-03-18',
  replaceBetween: { from: '2030-08-01', to: '2030-12-29' },
  startNextOn: null,
  features: [{ what: 'how softly the heel lands', wanted: 'at least much', why: 'A sore heel.' }],
  values: { drop: 10, closure: 'laces' },
  howItFits: ['A thumb’s width is free.'],
  breakIn: [{ day: 0, on: '2030-03-04', do: 'Indoors only.', check: 'Any place that presses?' }],
  lacing: { pattern: 'heel-lock', name: 'Heel lock', how: 'Loops, crossed.', because: 'the heel slipped' },
  care: ['Untie before you take them off.'],
  stopAndCall: ['a fall'],
  bringAlong: 'Bring this pair.',
  caution: 'Decision support.',
};

it('sheets from before the page was rewritten keep their words in the places of the new one', async () => {
  const updates = ['0016_after_care', '0017_words_of_the_clinic'].map((name) => {
    const migration = readFileSync(new URL(`../../migrations/${name}.sql`, import.meta.url), 'utf8');
    return migration.slice(migration.indexOf('update hand_over set sheet')).replace('hand_over', 'earlier');
  });
  const sheets = await asOwner(db, async (client) => {
    await client.query('create temporary table earlier (id int, sheet jsonb)');
    const put = (id: number, sheet: object) =>
      client.query('insert into earlier values ($1, $2)', [id, JSON.stringify(sheet)]);
    await put(1, EARLIER);
    await put(2, {
      ...EARLIER,
      changes: ['left: lift inside 6 mm'],
      again: 'Come in and try it.',
      features: [],
      breakIn: [],
    });
    // Of somebody who was erased.
    await put(3, {});
    await client.query(updates[0]!);
    // One that was written between the two.
    await client.query(
      `update earlier set sheet = jsonb_set(sheet, '{breakIn,weeks}', $1::jsonb) where id = 2`,
      [JSON.stringify([{ label: 'Week 1', from: '2030-03-04', share: 0.2, text: 'One short outing.' }])],
    );
    await client.query(updates[1]!);
    return (await client.query('select sheet from earlier order by id')).rows.map(({ sheet }) => sheet);
  });
  const [first, second] = sheets.slice(0, 2).map((sheet) => patientSheetSchema.parse(sheet));
  expect(first!.points).toEqual([
    { feature: null, text: 'how softly the heel lands: at least much. A sore heel.' },
  ]);
  expect(first!.breakIn.lines).toEqual(['2030-03-04: Indoors only. Any place that presses?']);
  expect(first!.lacing).toMatchObject({
    kind: 'closure',
    steps: ['Heel lock: Loops, crossed. (the heel slipped)'],
  });
  expect(first).toMatchObject({ changes: [], again: null, caution: 'Decision support.' });
  expect(second).toMatchObject({
    changes: ['left: lift inside 6 mm'],
    again: 'Come in and try it.',
    points: [],
  });
  expect(first!.words).toMatchObject({
    title: 'Your shoe: Testmaker One 1',
    for: 'for Ada Example, 4 March 2030',
    firstUse: 'First worn 4 March 2030',
    call: '',
    care: 'Looking after it',
  });
  expect(first!.breakIn.weeks).toEqual([]);
  expect(second!.breakIn.weeks[0]).toMatchObject({ from: '2030-03-04', fromInWords: '4 March 2030' });
  expect(sheets[2]).toEqual({});
});

import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sheetOf } from '@tests/fixtures/sheet';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { SheetInput } from '@/core/aftercare/patient-sheet';
import type { Findings } from '@/core/findings/picture';
import english from '@/core/texts/en/sheet.json' with { type: 'json' };
import { undrawable } from '@/server/pdf/fonts';
import { sheetPdf } from '@/server/pdf/sheet-pdf';

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'sovet-pdf-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A PDF as poppler reads it: text in the order of the page, pages, fonts and tags; each is asked of it where a test wants it. */
async function read(findings: Findings, over: Partial<SheetInput> = {}) {
  const pdf = await sheetPdf(sheetOf(findings, over));
  const file = join(folder, `${randomUUID()}.pdf`);
  writeFileSync(file, pdf);
  const poppler = (tool: string, ...args: string[]) => execFileSync(tool, args, { encoding: 'utf8' });
  return {
    bytes: pdf.length,
    text: () => poppler('pdftotext', file, '-').replace(/\s+/g, ' '),
    pages: () => Number(/Pages:\s+(\d+)/.exec(poppler('pdfinfo', file))?.[1]),
    fonts: () => poppler('pdffonts', file),
    tags: () =>
      [...poppler('pdfinfo', '-struct-text', file).matchAll(/^ *(H1|H2|P)[^\n]*\n((?: *"[^\n]*\n)*)/gm)].map(
        ([, role, lines = '']) => ({
          role,
          text: [...lines.matchAll(/"([^\n]*)"/g)]
            .map(([, part]) => part)
            .join('')
            .replace(/\s+/g, ' ')
            .trim(),
        }),
      ),
  };
}

/** Every sentence as one word of a language that is written from the right, with its blanks. */
const PSEUDO = Object.fromEntries(
  Object.entries(english).map(([key, text], at) => [
    key,
    ['שלום', at, ...(text.match(/\{\{\w+\}\}/g) ?? []), '.'].join(' '),
  ]),
);

const DIFFICULT: Findings = {
  body: { ageYears: 80, conditions: ['diabetes'], hands: 'tie', falls: 2 },
  left: {
    bunion: 'severe',
    lesserToes: 'rigid',
    sensation: 'lost',
    pulses: 'absent',
    skin: ['nail', 'fragile'],
    swelling: 'constant',
  },
  right: { rubbedAt: ['toe-tips', 'heel-back'], legLength: 880 },
};

describe('the sheet as PDF, read back by poppler', () => {
  it('is one page under 300 kB with its text in order, also for a difficult patient', async () => {
    for (const findings of [{}, DIFFICULT]) {
      const sheet = await read(findings);
      const text = sheet.text();
      expect(sheet.pages()).toBe(1);
      expect(sheet.bytes).toBeLessThan(300_000);
      const order = [
        'Your shoe: Testmaker One 1',
        'What matters in this pair',
        'How it should fit',
        'Lacing',
        'Stop wearing it',
        'Our number: 055 010100',
        'This page helps you',
      ];
      const places = order.map((words) => text.indexOf(words));
      expect(places).not.toContain(-1);
      expect(places).toEqual(places.toSorted((a, b) => a - b));
    }
  });

  it.each([
    ['Łukasz Żółć', 'Latin'],
    ['Ηλέκτρα Νίκου', 'Greek'],
    ['Юлія Ґонта', 'Cyrillic'],
    ['Nguyễn Thị Ánh', 'Vietnamese'],
  ])('writes %s (%s) letter by letter', async (patient) => {
    const sheet = await read({}, { patient });
    const text = sheet.text();
    expect(text.normalize('NFC')).toContain(patient);
    expect(text).not.toContain('cannot be printed');
    expect(
      sheet
        .fonts()
        .split('\n')
        .slice(2)
        .filter(Boolean)
        .every((line) => / yes yes yes /.test(line)),
    ).toBe(true);
  });

  it.each([
    ['שרה כהן', 'Hebrew'],
    ['ليلى حسن', 'Arabic'],
  ])('draws %s (%s), from the right, without a missing letter', async (patient) => {
    const text = (await read({}, { patient })).text();
    expect(undrawable(patient)).toEqual([]);
    expect(text).not.toContain('cannot be printed');
    // Poppler gives the letters in the order of reading or of drawing; all of them are there.
    const letters = [...patient.replace(/\s/g, '')];
    expect(letters.filter((letter) => !text.normalize('NFKC').includes(letter))).toEqual([]);
  });

  it('says which letters it cannot draw, and draws no other in their place', async () => {
    const text = (await read({}, { patient: 'Ada 田中' })).text();
    expect(text).toContain('Some letters cannot be printed here: U+7530, U+4E2D');
    expect(text).toContain('for Ada [U+7530][U+4E2D]');
    expect(undrawable('Ada 田中')).toEqual(['田', '中']);
  });

  it('has its headings and paragraphs tagged, in the order of reading', async () => {
    const tags = (await read(DIFFICULT)).tags();
    const headings = tags.filter(({ role }) => role !== 'P');
    expect(headings.map(({ role, text }) => `${role} ${text}`)).toEqual([
      'H1 Your shoe: Testmaker One 1',
      'H2 What matters in this pair, and why',
      'H2 How it should fit',
      'H2 Socks and skin',
      'H2 Looking after it',
      'H2 Getting used to it',
      'H2 When to come back',
      'H2 Lacing',
      'H2 Stop wearing it and call us, or urgent care, if',
    ]);
    // A sentence over several lines is one paragraph.
    expect(tags.filter(({ text }) => /^Stand up\. .* of room in front\.$/.test(text))).toHaveLength(1);
  });

  it('runs from the right in a language that does, one page, with the parts in their order', async () => {
    const sheet = await read(DIFFICULT, { language: 'he', house: PSEUDO });
    const text = sheet.text();
    expect(sheet.pages()).toBe(1);
    const shalom = text.split('שלום').length;
    expect(shalom).toBeGreaterThan(40);
    expect(text).not.toContain('cannot be printed');
    expect(text).not.toMatch(/Looking after it|Lacing/);
  });

  it('is one page in each language that ships', async () => {
    for (const language of ['en', 'de'])
      for (const findings of [{}, DIFFICULT]) {
        const sheet = await read(findings, { language });
        expect(sheet.pages(), language).toBe(1);
        expect(sheet.text()).toContain(language === 'de' ? 'Nicht mehr tragen' : 'Stop wearing it');
      }
  });
});

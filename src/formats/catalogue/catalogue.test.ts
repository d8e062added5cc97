import { testSizing } from '@tests/fixtures/invented-shoe';
import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import type { CatalogueEntry, CatalogueReport } from '@/core/catalogue/catalogue-entry';
import { type FeatureId, featureOf } from '@/core/shoe/features';
import { featuresOf } from '@/core/shoe/readings/readings';
import { COLUMNS, MODEL_FEATURES } from './columns';
import { readCatalogueJson, writeCatalogueJson } from './json';
import { MOST_ROWS, readCatalogueCsv } from './read-csv';
import { withoutFormula, writeCatalogueCsv } from './write-csv';

const HEAD = 'maker,name,version,group,system,allowance_mm,sizes,widths,ball_width_mm';
const ROW = 'Testmaker,One,1,men,eu,15,39-46,D 2E,95';

async function* chunksOf(bytes: Uint8Array, size = 1 << 16): AsyncGenerator<Uint8Array> {
  for (let at = 0; at < bytes.length; at += size) yield bytes.subarray(at, at + size);
}
async function readBytes(
  bytes: Uint8Array,
  size?: number,
): Promise<CatalogueReport & { all: CatalogueEntry[] }> {
  const all: CatalogueEntry[] = [];
  const report = await readCatalogueCsv(chunksOf(bytes, size), {
    today: '2031-05-20',
    onEntries: (entries) => void all.push(...entries),
  });
  return { ...report, all };
}
const read = (text: string, size?: number) => readBytes(new TextEncoder().encode(text), size);
const errorsOf = async (text: string) => (await read(text)).errors;

/** Any entry that a catalogue may hold. */
const entries: fc.Arbitrary<CatalogueEntry[]> = fc.uniqueArray(
  fc.record({
    maker: fc.constantFrom('Testmaker', '=SUM(A1)', '+49', '@home', '-minus', 'Größe', 'a "quoted", one'),
    name: fc.stringMatching(/^[A-Za-z][\w ;,]{0,12}[A-Za-z]$/),
    version: fc.integer({ min: 1, max: 9 }).map(String),
    sizing: fc.record({
      system: fc.constantFrom('eu', 'uk'),
      group: fc.constantFrom('men', 'women'),
      allowanceMm: fc.constantFrom(13.3, 15, 17),
      lengthOffsetMm: fc.constant(0),
      widthOffsetMm: fc.constant(0),
      sizes: fc.constantFrom([39, 39.5, 40, 40.5], [39, 40, 41], [39, 40.5, 42]),
      widths: fc.constantFrom(['D'], ['B', 'D']),
      ballWidthMm: fc.integer({ min: 80, max: 100 }),
    }),
    stock: fc.constantFrom(null, {}, { '39 D': 3 }),
    boxes: fc.constantFrom({}, { batch: '=7' }, { batch: 'K 31-05', madeOn: '2031-04-02' }),
    price: fc.option(fc.integer({ min: 40, max: 300 })),
    status: fc.constantFrom(null, 'current', 'discontinued'),
    replaces: fc.option(fc.constantFrom('0', '=1')),
    readings: fc
      .uniqueArray(fc.constantFrom(...MODEL_FEATURES), { maxLength: 12 })
      .map((ids) => Object.fromEntries(ids.map((id) => [id, readingsOf(id)]))),
  }),
  {
    selector: (entry) => `${entry.maker} ${entry.name} ${entry.version}`.toLowerCase(),
    minLength: 1,
    maxLength: 12,
  },
) as fc.Arbitrary<CatalogueEntry[]>;
const readingsOf = (id: FeatureId) => [
  { value: featureOf(id).usual, from: 'bench', on: '2031-02-03' },
  { value: featureOf(id).usual, from: 'maker', on: '2031-01-10' },
];

describe('there and back', () => {
  it('CSV and JSON lose nothing, formulas and quotes included, whatever the size of the chunks', async () => {
    await fc.assert(
      fc.asyncProperty(entries, fc.integer({ min: 7, max: 5000 }), async (list, size) => {
        const csv = await read(writeCatalogueCsv(list), size);
        expect(csv.errors).toEqual([]);
        expect(csv.all).toEqual(list);
        const json = readCatalogueJson(writeCatalogueJson(list));
        expect(json.report.errors).toEqual([]);
        expect(json.entries).toEqual(list);
      }),
      { numRuns: 40 },
    );
  });

  it('no cell of an export begins like a formula', async () => {
    await fc.assert(
      fc.asyncProperty(entries, async (list) => {
        for (const cell of Papa.parse<string[]>(writeCatalogueCsv(list)).data.flat())
          expect(cell).not.toMatch(/^[=+\-@\t\r]/);
      }),
      { numRuns: 20 },
    );
    expect(withoutFormula('=1+1')).toBe("'=1+1");
    expect(withoutFormula('Tern')).toBe('Tern');
  });

  it('a formula is text: it is never worked out', async () => {
    const { all } = await read(`${HEAD}\n"=HYPERLINK(""x"")",One,1,men,eu,15,39-46,D,95\n`);
    expect(all[0]!.maker).toBe('=HYPERLINK("x")');
  });
});

describe('what people have in their files', () => {
  it('every column is documented, named once and read', async () => {
    expect(new Set(COLUMNS.map(({ name }) => name)).size).toBe(COLUMNS.length);
    for (const { about } of COLUMNS) expect(about.length).toBeGreaterThan(3);
    const cells = COLUMNS.map(({ name, feature }) =>
      feature
        ? String(featureOf(feature).usual)
        : ({
            stock: '39 D:1',
            price: '99',
            status: 'current',
            replaces: '0',
            values_from: 'bench',
            values_on: '2031-01-01',
          }[name] ?? ROW.split(',')[HEAD.split(',').indexOf(name)]!),
    );
    const { all, errors } = await read(
      Papa.unparse([COLUMNS.map(({ name }) => name), cells], { newline: '\n' }),
    );
    expect(errors).toEqual([]);
    expect(Object.keys(featuresOf(all[0]!.readings))).toHaveLength(MODEL_FEATURES.length);
    expect(all[0]!.readings.drop).toEqual([{ value: 8, from: 'bench', on: '2031-01-01' }]);
  });

  it.each([
    [';', '8,5'],
    ['\t', '8,5'],
    ['|', '8.5'],
    [',', '8.5'],
  ])('separated by “%s”', async (delimiter, drop) => {
    const text = [`${HEAD},drop_mm`, `${ROW},8.5`]
      .map((line) => line.split(',').join(delimiter))
      .join('\r\n')
      .replace(/8\.5$/, drop);
    const { all, errors } = await read(text);
    expect(errors).toEqual([]);
    expect(featuresOf(all[0]!.readings).drop).toBe(8.5);
  });

  it('a decimal comma in a file separated by commas is named, with what was meant', async () => {
    expect(await errorsOf(`${HEAD},drop_mm\n${ROW},"8,5"\n`)).toEqual([
      { row: 2, column: 'drop_mm', message: expect.stringContaining('decimal point'), suggestion: '8.5' },
    ]);
  });

  it('units may be written; slips of unit are named with what was meant', async () => {
    const values = async (cells: string) => {
      const { all, errors } = await read(`${HEAD},heel_stack_mm,mass_g\n${ROW},${cells}\n`);
      return all[0]
        ? featuresOf(all[0].readings)
        : errors.map(({ column, suggestion }) => [column, suggestion]);
    };
    expect(await values('3.1 cm,0.27 kg')).toEqual({ heelStack: 31, mass: 270 });
    expect(await values('1 1/4 in,9.5 oz')).toMatchObject({ heelStack: 31.75 });
    expect(await values('3.1,0.27')).toEqual([
      ['heel_stack_mm', '31'],
      ['mass_g', '270'],
    ]);
  });

  it('a drop in centimetres is within its bounds: the stacks give it away', async () => {
    expect(
      await errorsOf(`${HEAD},drop_mm,heel_stack_mm,forefoot_stack_mm\n${ROW},0.8,30,22\n`),
    ).toMatchObject([{ column: 'drop_mm', suggestion: '8' }]);
    expect(await errorsOf(`${HEAD},drop_mm,heel_stack_mm,forefoot_stack_mm\n${ROW},9,30,22\n`)).toEqual([]);
  });

  it('grades by number or name, options by either name', async () => {
    const { all } = await read(
      `${HEAD},midsole_hardness,closure\n${ROW},firm,laces with an extra top eyelet\n`,
    );
    expect(featuresOf(all[0]!.readings)).toEqual({ midsoleHardness: 4, closure: 'laces-extra-eyelet' });
  });

  it.each([
    ['utf-16le', [0xff, 0xfe]],
    ['utf-16le', []],
    ['utf-16be', [0xfe, 0xff]],
  ] as const)('written in %s', async (encoding, mark) => {
    const bytes = new Uint8Array([...mark, ...utf16(`${HEAD}\n${ROW.replace('One', 'Größe')}\n`, encoding)]);
    const { all, notes, errors } = await readBytes(bytes, 9);
    expect(errors).toEqual([]);
    expect(all[0]!.name).toBe('Größe');
    expect(notes[0]).toContain('UTF-16');
  });

  it('Windows-1252 is read and said', async () => {
    const bytes = Uint8Array.from(`${HEAD}\n${ROW.replace('One', 'Gr\u00f6\u00dfe')}\n`, (letter) =>
      letter.charCodeAt(0),
    );
    const { all, notes } = await readBytes(bytes);
    expect(all[0]!.name).toBe('Größe');
    expect(notes[0]).toContain('Windows-1252');
  });

  it('bytes that break off their encoding later are an error, not noise', async () => {
    const good = new TextEncoder().encode(
      `${HEAD}\n${Array.from({ length: 3000 }, (_, at) => ROW.replace('One', `M${at}`)).join('\n')}\n`,
    );
    const bytes = new Uint8Array([...good, 0xff, 0xfe, 0xff]);
    const { errors } = await readBytes(bytes, 30_000);
    expect(errors.at(-1)!.message).toContain('not valid UTF-8');
  });
});

describe('what is wrong is told by row and column', () => {
  it('unknown, missing and doubled columns, with the name that was meant', async () => {
    expect(await errorsOf(`${HEAD},drop_cm,colour,maker\n${ROW},1,red,x\n`)).toEqual([
      { row: 1, column: 'drop_cm', message: expect.stringContaining('drop_mm') },
      { row: 1, column: 'colour', message: 'Not a column here.' },
      { row: 1, column: 'maker', message: 'This column stands twice.' },
    ]);
    expect(await errorsOf(`maker,name\nx,y\n`)).toHaveLength(HEAD.split(',').length - 2);
  });

  it('a file that is no table, an empty one, one without rows', async () => {
    expect((await errorsOf('hello world\n'))[0]!.message).toContain('No known column');
    expect((await errorsOf(''))[0]!.message).toMatch(/no rows|No known column/);
    expect((await errorsOf(`${HEAD}\n`))[0]!.message).toBe('The file holds no rows.');
  });

  it('every bad cell of a row, and the good rows beside it still count', async () => {
    const { errors, all, rows } = await read(
      `${HEAD},stock,values_on\n${ROW},,\n,Two,1,kids,eu,150,none,Q,95,,\n${ROW.replace('One', 'Three')},50 D:1,2031-02-30\n`,
    );
    expect(rows).toBe(3);
    expect(all).toHaveLength(1);
    expect(errors.filter(({ row }) => row === 3).map(({ column }) => column)).toEqual([
      'maker',
      'group',
      'allowance_mm',
      'sizes',
      'widths',
    ]);
    expect(errors.filter(({ row }) => row === 4).map(({ column }) => column)).toEqual(['stock', 'values_on']);
  });

  it('the same model twice, whatever the capitals, names the first row', async () => {
    expect(await errorsOf(`${HEAD}\n${ROW}\n${ROW.toUpperCase().replace('MEN,EU', 'men,eu')}\n`)).toEqual([
      { row: 3, column: 'name', message: 'The same maker, model and version stand in row 2.' },
    ]);
  });

  it('an open quote ends the reading, not the program', async () => {
    const { errors } = await read(`${HEAD}\n"${ROW}\n${'x'.repeat(400_000)}`);
    expect(errors[0]!.message).toContain('never closed');
  });

  it('a million rows are refused at the limit, with memory flat', async () => {
    async function* million(): AsyncGenerator<Uint8Array> {
      const encoder = new TextEncoder();
      yield encoder.encode(`${HEAD}\n`);
      for (let block = 0; block < 1000; block += 1)
        yield encoder.encode(
          Array.from({ length: 1000 }, (_, at) => `T,M${block * 1000 + at},1,men,eu,15,39-46,D,95\n`).join(
            '',
          ),
        );
    }
    let entries = 0;
    const report = await readCatalogueCsv(million(), {
      today: '2031-05-20',
      onEntries: (batch) => {
        entries += batch.length;
      },
    });
    expect(report.errors[0]!.message).toContain('split the file');
    expect(entries).toBeLessThanOrEqual(MOST_ROWS);
  });

  it('more errors than can be read are counted, not listed', async () => {
    const { errors, errorCount } = await read(
      `${HEAD}\n${Array.from({ length: 500 }, () => ',,,,,,,,').join('\n')}\n${Array.from({ length: 500 }, (_, at) => `T,M${at},1,nobody,eu,15,39,D,95`).join('\n')}\n`,
    );
    expect(errors).toHaveLength(200);
    expect(errorCount).toBe(500);
  });

  it('JSON: broken, of another kind, and a wrong value by its place', () => {
    const messages = (text: string) => readCatalogueJson(text).report.errors;
    expect(messages('{')[0]!.message).toContain('not valid JSON');
    expect(messages('{"format":"other"}')[0]!.message).toContain('Not a catalogue');
    const document = JSON.parse(
      writeCatalogueJson([
        {
          maker: 'T',
          name: 'One',
          version: '1',
          sizing: testSizing(),
          stock: {},
          boxes: {},
          price: null,
          status: 'current',
          replaces: null,
          readings: { drop: [{ value: 180, from: 'maker', on: '2031-01-01' }] },
        },
      ]),
    );
    expect(messages(JSON.stringify(document))).toEqual([
      { row: 1, column: 'readings.drop', message: '180 lies outside 0–100.' },
    ]);
    document.models[0].readings = {};
    document.models.push({ ...document.models[0], sizes: [] });
    expect(messages(JSON.stringify(document))[0]).toMatchObject({ row: 2, column: 'sizes' });
  });
});

function utf16(text: string, encoding: 'utf-16le' | 'utf-16be'): number[] {
  return [...text].flatMap((letter) => {
    const code = letter.charCodeAt(0);
    const pair = [code & 0xff, code >> 8];
    return encoding === 'utf-16le' ? pair : pair.reverse();
  });
}

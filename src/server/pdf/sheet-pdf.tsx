import { Document, Page, renderToBuffer, StyleSheet, Text, View } from '@react-pdf/renderer';
import { linesOf } from '@/core/aftercare/lines';
import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { callouts } from '@/core/shoe/drawing/callouts';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { speechIn } from '@/core/texts/languages';
import { DISPLAY_FAMILY, registerFaces, TEXT_FAMILY, undrawable } from './fonts';
import { Among, INK, Laced, Shoe } from './sheet-drawings';
import { tagPdf } from './tag-pdf';
import type { TextRole } from './tagged-content';

const styles = StyleSheet.create({
  page: { padding: 24, fontFamily: TEXT_FAMILY, fontSize: 9, lineHeight: 1.25, color: INK },
  title: { fontFamily: DISPLAY_FAMILY, fontWeight: 600, fontSize: 19, lineHeight: 1.2 },
  head: {
    fontFamily: DISPLAY_FAMILY,
    fontWeight: 600,
    fontSize: 11.5,
    lineHeight: 1.2,
    marginTop: 5,
    marginBottom: 1.5,
  },
  flush: { marginTop: 0 },
  strong: { fontWeight: 600 },
  faint: { color: '#5d5343' },
  column: { flex: 1 },
  warn: { border: '1.2pt solid #8c1f13', padding: 5, marginTop: 6 },
  caution: { fontSize: 7, color: '#5d5343', marginTop: 5 },
});

/** Which way a page runs: text and columns both. */
const runOf = ({ direction }: PatientSheet) =>
  direction === 'rtl'
    ? ({ text: { direction: 'rtl', textAlign: 'right' }, row: { flexDirection: 'row-reverse' } } as const)
    : ({ text: {}, row: { flexDirection: 'row' } } as const);

interface Props {
  sheet: PatientSheet;
}

/** Each line with its mark, on the side from which the language is read. */
const List = ({
  items,
  sheet,
  numbered = false,
}: Props & { items: readonly string[]; numbered?: boolean }) => {
  const { row, text } = runOf(sheet);
  return (
    <View>
      {items.map((item, at) => (
        <View key={item} style={{ ...row, gap: 3 }}>
          <Text>{numbered ? `${at + 1}.` : '–'}</Text>
          <Text style={{ ...styles.column, ...text }}>{item}</Text>
        </View>
      ))}
    </View>
  );
};

function Part({ title, items, sheet }: Props & { title: string; items: readonly string[] }) {
  return (
    <View>
      <Text style={{ ...styles.head, ...runOf(sheet).text }}>{title}</Text>
      <List items={items} sheet={sheet} />
    </View>
  );
}

function Lacing({ sheet }: Props) {
  const { lacing, words } = sheet;
  if (lacing.kind === 'closure') return <Part title={words.closing} items={lacing.steps} sheet={sheet} />;
  const { row, text } = runOf(sheet);
  const after = (
    <View style={lacing.shoes.length === 1 ? styles.column : {}}>
      <List items={lacing.after} sheet={sheet} />
      <Text style={{ ...styles.faint, ...text }}>{words.lacingView}</Text>
    </View>
  );
  return (
    <View>
      <Text style={{ ...styles.head, ...text }}>{words.lacing}</Text>
      <View style={{ ...row, gap: 22 }}>
        {lacing.shoes.map((shoe) => (
          <View key={shoe.label} style={{ ...styles.column, ...row, gap: 8 }} wrap={false}>
            <Laced shoe={shoe} eyelets={lacing.eyelets} words={words} />
            <View style={styles.column}>
              <Text style={{ ...styles.strong, ...text }}>{shoe.label}</Text>
              {shoe.because.map((line) => (
                <Text key={line} style={text}>
                  {line}
                </Text>
              ))}
              <List items={shoe.steps} sheet={sheet} numbered />
            </View>
          </View>
        ))}
        {lacing.shoes.length === 1 && after}
      </View>
      {lacing.shoes.length > 1 && after}
    </View>
  );
}

function BreakIn({ sheet }: Props) {
  const { row, text } = runOf(sheet);
  return (
    <View>
      <Text style={{ ...styles.head, ...text }}>{sheet.words.breakIn}</Text>
      {sheet.breakIn.weeks.map((week) => (
        <View key={week.from} style={{ ...row, gap: 6 }} wrap={false}>
          <View style={{ width: 84 }}>
            <Text style={{ ...styles.strong, ...text }}>{week.label}</Text>
            <Text style={{ ...styles.faint, ...text }}>{week.fromInWords}</Text>
            <View style={{ height: 5, border: '0.6pt solid #857760' }}>
              <View
                style={{ height: 4, width: `${Math.round(week.share * 100)}%`, backgroundColor: '#0c5960' }}
              />
            </View>
          </View>
          <Text style={{ ...styles.column, ...text }}>{week.text}</Text>
        </View>
      ))}
      <List items={sheet.breakIn.lines} sheet={sheet} />
    </View>
  );
}

/** A letter that no face has is said where it stands, never replaced by another. */
function sayingMissing(sheet: PatientSheet): { sheet: PatientSheet; missing: string[] } {
  const found = new Set<string>();
  const drawn = (text: string): string => {
    const missing = undrawable(text);
    return [...text.normalize('NFC')]
      .map((letter) => {
        if (!missing.includes(letter)) return letter;
        const code = `U+${letter.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')}`;
        found.add(code);
        return `[${code}]`;
      })
      .join('');
  };
  // What a person wrote: the rest comes from message files.
  const { words } = sheet;
  const written = {
    ...sheet,
    words: {
      ...words,
      title: drawn(words.title),
      for: drawn(words.for),
      size: drawn(words.size),
      call: drawn(words.call),
    },
    patient: drawn(sheet.patient),
    clinic: drawn(sheet.clinic),
    shoe: drawn(sheet.shoe),
    size: drawn(sheet.size),
    phone: drawn(sheet.phone),
    changes: sheet.changes.map(drawn),
    breakIn: { ...sheet.breakIn, lines: sheet.breakIn.lines.map(drawn) },
  };
  return { sheet: written, missing: [...found] };
}

/** Sizes of type, largest first: the largest with which all stands on one page is taken. */
const SIZES_PT: readonly number[] = [10, 9.5, 9, 8.5, 8, 7.5];
/** Letters that a page holds in each size, as measured on sheets of difficult patients in both languages that ship. */
const HOLDS: readonly (readonly [letters: number, sizePt: number])[] = [
  [2150, 10],
  [2550, 8.5],
  [2700, 8],
];
/** The size to try first, so that most pages are written once: what is plainly too large is not tried. */
function likelySize(sheet: PatientSheet): number {
  const letters = linesOf(sheet).reduce((sum, line) => sum + line.length, 0);
  return HOLDS.find(([most]) => letters <= most)?.[1] ?? SIZES_PT.at(-1)!;
}
const pagesIn = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0;

/** What is larger than running text is a heading. */
const roleOf = (sizePt: number): TextRole =>
  sizePt >= styles.title.fontSize ? 'H1' : sizePt >= styles.head.fontSize ? 'H2' : 'P';

/** The patient's sheet as PDF, from the same value and the same drawings as the screen; on one page, in type as large as fits. */
export async function sheetPdf(given: PatientSheet): Promise<Buffer> {
  registerFaces();
  const { sheet, missing } = sayingMissing(given);
  const likely = SIZES_PT.filter((size) => size <= likelySize(sheet));
  const [smallest = SIZES_PT.at(-1)!] = likely.slice(-1);
  for (const size of likely) {
    const pdf = await rendered(sheet, missing, size);
    if (size === smallest || pagesIn(pdf) <= 1) return tagPdf(pdf, roleOf);
  }
  return tagPdf(await rendered(sheet, missing, smallest), roleOf);
}

function rendered(sheet: PatientSheet, missing: readonly string[], fontSize: number): Promise<Buffer> {
  const { words, points, values, soleMm, changes, again } = sheet;
  const { row, text } = runOf(sheet);
  const columns = { ...row, gap: 22 };
  const half = Math.ceil(sheet.stopAndCall.length / 2);
  const numbered = points.flatMap(({ feature }) => (feature === null ? [] : [feature]));
  return renderToBuffer(
    <Document title={words.title} author={sheet.clinic} language={sheet.language}>
      <Page size="A4" style={{ ...styles.page, fontSize }}>
        <Text style={{ ...styles.faint, ...text }}>{`${sheet.clinic} · ${words.for}`}</Text>
        <Text style={{ ...styles.title, ...text }}>{words.title}</Text>
        <Text style={text}>{words.size}</Text>
        <View style={columns}>
          <View style={{ flex: 1.1 }}>
            <Shoe drawing={sideProfile(values, soleMm)} numbers={callouts(numbered, values, soleMm)} />
          </View>
          <View style={styles.column}>
            <Text style={{ ...styles.head, ...text }}>{words.why}</Text>
            {points.length === 0 && <Text style={text}>{words.nothingSpecial}</Text>}
            <List items={points.map((point) => point.text)} sheet={sheet} numbered />
          </View>
          {sheet.among && <Among among={sheet.among} words={words} />}
        </View>
        <View style={columns}>
          <View style={styles.column}>
            <Part title={words.fit} items={sheet.howItFits} sheet={sheet} />
            <View style={{ ...row }}>
              <View
                style={{
                  height: 7,
                  marginTop: 3,
                  width: `${sheet.roomMm.most}mm`,
                  backgroundColor: '#0c5960',
                }}
              />
            </View>
            <Text style={{ ...styles.faint, ...text }}>{words.ruler}</Text>
            <Part title={words.socks} items={sheet.skin} sheet={sheet} />
            <Part title={words.care} items={sheet.care} sheet={sheet} />
            {changes.length > 0 && <Part title={words.changes} items={changes} sheet={sheet} />}
          </View>
          <View style={styles.column}>
            <BreakIn sheet={sheet} />
            <Part title={words.dates} items={[...sheet.dates, ...(again ? [again] : [])]} sheet={sheet} />
          </View>
        </View>
        <Lacing sheet={sheet} />
        <View style={styles.warn} wrap={false}>
          <Text style={{ ...styles.head, ...styles.flush, ...text }}>{words.stop}</Text>
          <View style={columns}>
            {[sheet.stopAndCall.slice(0, half), sheet.stopAndCall.slice(half)].map((items) => (
              <View key={items.join()} style={styles.column}>
                <List items={items} sheet={sheet} />
              </View>
            ))}
          </View>
          {words.call !== '' && <Text style={{ ...styles.strong, ...text }}>{words.call}</Text>}
        </View>
        {missing.length > 0 && (
          <Text style={{ ...styles.strong, ...text }}>
            {speechIn(sheet.language).say('pdf.missing', { letters: missing.join(', ') })}
          </Text>
        )}
        <Text style={{ ...styles.caution, ...text }}>{sheet.caution}</Text>
      </Page>
    </Document>,
  );
}

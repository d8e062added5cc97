import { Document, Page, renderToBuffer, StyleSheet, Text, View } from '@react-pdf/renderer';
import { linesOf } from '@/core/aftercare/lines';
import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { callouts } from '@/core/shoe/drawing/callouts';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { dayIn, type Say, sayIn } from '@/core/texts/say';
import { DISPLAY_FAMILY, registerFaces, TEXT_FAMILY, undrawable } from './fonts';
import { INK, Laced, Shoe } from './sheet-drawings';

const styles = StyleSheet.create({
  page: { padding: 26, fontFamily: TEXT_FAMILY, fontSize: 9, lineHeight: 1.3, color: INK },
  title: { fontFamily: DISPLAY_FAMILY, fontWeight: 600, fontSize: 19, lineHeight: 1.2 },
  head: { fontFamily: DISPLAY_FAMILY, fontWeight: 600, fontSize: 11.5, marginTop: 7, marginBottom: 2 },
  strong: { fontWeight: 600 },
  faint: { color: '#5d5343' },
  columns: { flexDirection: 'row', gap: 22 },
  column: { flex: 1 },
  warn: { border: '1.2pt solid #8c1f13', padding: 6, marginTop: 8 },
  caution: { fontSize: 7, color: '#5d5343', marginTop: 8 },
});

const List = ({ items, numbered = false }: { items: readonly string[]; numbered?: boolean }) => (
  <View>
    {items.map((item, at) => (
      <Text key={item}>{`${numbered ? `${at + 1}.` : '–'} ${item}`}</Text>
    ))}
  </View>
);

function Part({ title, items }: { title: string; items: readonly string[] }) {
  return (
    <View>
      <Text style={styles.head}>{title}</Text>
      <List items={items} />
    </View>
  );
}

function Lacing({ sheet: { lacing }, say }: { sheet: PatientSheet; say: Say }) {
  if (lacing.kind === 'closure') return <Part title={say('closure.title')} items={lacing.steps} />;
  const after = (
    <View style={lacing.shoes.length === 1 ? styles.column : {}}>
      <List items={lacing.after} />
      <Text style={styles.faint}>{say('lacing.view')}</Text>
    </View>
  );
  return (
    <View>
      <Text style={styles.head}>{say('lacing.title')}</Text>
      <View style={styles.columns}>
        {lacing.shoes.map((shoe) => (
          <View key={shoe.label} style={{ ...styles.column, flexDirection: 'row', gap: 8 }} wrap={false}>
            <Laced shoe={shoe} eyelets={lacing.eyelets} say={say} />
            <View style={styles.column}>
              <Text style={styles.strong}>{shoe.label}</Text>
              {shoe.because.map((line) => (
                <Text key={line}>{line}</Text>
              ))}
              <List items={shoe.steps} numbered />
            </View>
          </View>
        ))}
        {lacing.shoes.length === 1 && after}
      </View>
      {lacing.shoes.length > 1 && after}
    </View>
  );
}

function BreakIn({ sheet: { breakIn, language }, say }: { sheet: PatientSheet; say: Say }) {
  return (
    <View>
      <Text style={styles.head}>{say('break-in.title')}</Text>
      {breakIn.weeks.map((week) => (
        <View key={week.from} style={{ flexDirection: 'row', gap: 6 }} wrap={false}>
          <View style={{ width: 84 }}>
            <Text style={styles.strong}>{week.label}</Text>
            <Text style={styles.faint}>{dayIn(language, week.from)}</Text>
            <View style={{ height: 5, border: '0.6pt solid #857760' }}>
              <View
                style={{ height: 4, width: `${Math.round(week.share * 100)}%`, backgroundColor: '#0c5960' }}
              />
            </View>
          </View>
          <Text style={styles.column}>{week.text}</Text>
        </View>
      ))}
      <List items={breakIn.lines} />
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
  const written = {
    ...sheet,
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
/** Letters that a page of ten points holds, and by how many more the type goes down half a point. Measured on this page. */
const HOLDS = { letters: 1750, more: 230 };
/** The size to try first: what is plainly too large is not tried. */
function likelySize(sheet: PatientSheet): number {
  const letters = linesOf(sheet).reduce((sum, line) => sum + line.length, 0);
  return SIZES_PT[0]! - 0.5 * Math.max(0, Math.floor((letters - HOLDS.letters) / HOLDS.more));
}
const pagesIn = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0;

/** The patient's sheet as PDF, from the same value and the same drawings as the screen; on one page, in type as large as fits. */
export async function sheetPdf(given: PatientSheet): Promise<Buffer> {
  registerFaces();
  const { sheet, missing } = sayingMissing(given);
  const likely = SIZES_PT.filter((size) => size <= likelySize(sheet));
  const [smallest = SIZES_PT.at(-1)!] = likely.slice(-1);
  for (const size of likely) {
    const pdf = await rendered(sheet, missing, size);
    if (size === smallest || pagesIn(pdf) <= 1) return pdf;
  }
  return rendered(sheet, missing, smallest);
}

function rendered(sheet: PatientSheet, missing: readonly string[], fontSize: number): Promise<Buffer> {
  const say = sayIn(sheet.language);
  const numbered = sheet.points.flatMap(({ feature }) => (feature === null ? [] : [feature]));
  return renderToBuffer(
    <Document title={say('title', { shoe: sheet.shoe })} author={sheet.clinic} language={sheet.language}>
      <Page size="A4" style={{ ...styles.page, fontSize }}>
        <Text style={styles.faint}>
          {`${sheet.clinic} · ${say('for', { patient: sheet.patient, on: dayIn(sheet.language, sheet.startedOn) })}`}
        </Text>
        <Text style={styles.title}>{say('title', { shoe: sheet.shoe })}</Text>
        <Text>{say('size', { size: sheet.size })}</Text>
        <View style={styles.columns}>
          <View style={{ flex: 1.2 }}>
            <Shoe drawing={sideProfile(sheet.values)} numbers={callouts(numbered, sheet.values)} />
          </View>
          <View style={styles.column}>
            <Text style={styles.head}>{say('why.title')}</Text>
            {sheet.points.length === 0 && <Text>{say('why.none')}</Text>}
            <List items={sheet.points.map(({ text }) => text)} numbered />
          </View>
        </View>
        <View style={styles.columns}>
          <View style={styles.column}>
            <Part title={say('fit.title')} items={sheet.howItFits} />
            <View
              style={{ height: 7, marginTop: 3, width: `${sheet.roomMm.most}mm`, backgroundColor: '#0c5960' }}
            />
            <Text style={styles.faint}>{say('fit.ruler', sheet.roomMm)}</Text>
          </View>
          <View style={styles.column}>
            <BreakIn sheet={sheet} say={say} />
          </View>
        </View>
        <Lacing sheet={sheet} say={say} />
        <View style={styles.columns}>
          <View style={styles.column}>
            <Part title={say('socks.title')} items={sheet.skin} />
            {sheet.shop.length > 0 && <Part title={say('care.title')} items={sheet.care} />}
            {sheet.changes.length > 0 && <Part title={say('changes.title')} items={sheet.changes} />}
          </View>
          <View style={styles.column}>
            <Part
              title={say('dates.title')}
              items={[...sheet.dates, ...(sheet.again ? [sheet.again] : [])]}
            />
            {sheet.shop.length > 0 ? (
              <Part title={say('shop.title')} items={sheet.shop} />
            ) : (
              <Part title={say('care.title')} items={sheet.care} />
            )}
          </View>
        </View>
        <View style={styles.warn} wrap={false}>
          <Text style={styles.strong}>{say('stop.title')}</Text>
          <List items={sheet.stopAndCall} />
          {sheet.phone !== '' && (
            <Text style={styles.strong}>{say('stop.call', { phone: sheet.phone })}</Text>
          )}
        </View>
        {missing.length > 0 && (
          <Text style={styles.strong}>{say('pdf.missing', { letters: missing.join(', ') })}</Text>
        )}
        <Text style={styles.caution}>{sheet.caution}</Text>
      </Page>
    </Document>,
  );
}

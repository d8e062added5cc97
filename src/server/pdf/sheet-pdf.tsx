import {
  Circle,
  Document,
  G,
  Line,
  Page,
  Path,
  renderToBuffer,
  StyleSheet,
  Svg,
  Text,
  View,
} from '@react-pdf/renderer';
import type { LacedShoe } from '@/core/aftercare/lacing-words';
import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { lacingDrawing } from '@/core/lacing/drawing';
import type { ShoeEyelets } from '@/core/lacing/eyelets';
import { callouts } from '@/core/shoe/drawing/callouts';
import type { Drawing, DrawnPart, Point } from '@/core/shoe/drawing/part';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { dayIn, type Say, sayIn } from '@/core/texts/say';
import { DISPLAY_FAMILY, registerFaces, TEXT_FAMILY, undrawable } from './fonts';

const INK = '#231d15';

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

const FILL: Record<DrawnPart['kind'], string | null> = {
  foam: '#e9dab6',
  outsole: '#8d7f68',
  insole: '#c79f6b',
  upper: '#dfd5c3',
  counter: '#c3b398',
  support: '#9c8a66',
  closure: null,
  line: null,
  guide: null,
  foot: null,
  inside: null,
  band: null,
};

function Shoe({ drawing, numbers }: { drawing: Drawing; numbers: readonly Point[] }) {
  return (
    <Svg viewBox={drawing.viewBox.join(' ')} style={{ height: 104 }}>
      {drawing.parts.map((part) => (
        <Path
          key={part.id}
          d={part.d}
          fill={FILL[part.kind] ?? 'none'}
          stroke="#4b4132"
          strokeWidth={part.kind === 'closure' ? 2.4 : 0.9}
        />
      ))}
      <Line x1={0} y1={14} x2={drawing.viewBox[2] - 66} y2={14} stroke="#4b4132" strokeWidth={0.8} />
      {numbers.map(([x, y], at) => (
        <G key={`${x} ${y}`}>
          <Circle cx={x} cy={y} r={8} fill="#ffffff" stroke={INK} strokeWidth={1} />
          <Text
            x={x - (at > 8 ? 6 : 3)}
            y={y + 3.8}
            style={{ fontFamily: TEXT_FAMILY, fontWeight: 600, fontSize: 11 }}
            fill={INK}
          >
            {at + 1}
          </Text>
        </G>
      ))}
    </Svg>
  );
}

const LACE_WIDTH = { easy: 2.2, snug: 3.2, firm: 4.4 } as const;

/** The same lacing as on the screen, by the same drawing. */
function Laced({ shoe, eyelets, say }: { shoe: LacedShoe; eyelets: ShoeEyelets; say: Say }) {
  const drawing = lacingDrawing(shoe.side, eyelets, shoe.lacing);
  const { width, height } = drawing;
  const word = (x: number, y: number, text: string, size: number) => (
    <Text
      key={`${x} ${y} ${text}`}
      x={x - (text.length * size) / 4}
      y={y}
      style={{ fontFamily: TEXT_FAMILY, fontSize: size }}
      fill={INK}
    >
      {text}
    </Text>
  );
  return (
    <Svg viewBox={`0 0 ${width} ${height}`} style={{ width: 96, height: (96 * height) / width }}>
      <Path d={drawing.tongue} fill="#dfd5c3" stroke="#4b4132" strokeWidth={1} />
      {drawing.laces.map(({ from, to, d, end, tension }) => (
        <G key={`${from.side} ${from.row} ${to.side} ${to.row}`}>
          <Path d={d} fill="none" stroke="#ffffff" strokeWidth={LACE_WIDTH[tension] + 2.6} />
          <Path d={d} fill="none" stroke={INK} strokeWidth={LACE_WIDTH[tension]} />
          {end === 1 ? (
            <Path d={d} fill="none" stroke="#ffffff" strokeWidth={LACE_WIDTH[tension] - 1.6} />
          ) : null}
        </G>
      ))}
      {drawing.extras.map(({ d, kind }) => (
        <Path
          key={d}
          d={d}
          fill="none"
          stroke={INK}
          strokeWidth={kind === 'through-loop' ? 2.2 : 1.6}
          {...(kind === 'through-loop' ? { strokeDasharray: '4 2' } : {})}
        />
      ))}
      {drawing.twists.map(({ x, y }) => (
        <G key={`${x} ${y}`}>
          <Circle cx={x} cy={y} r={6} fill="#ffffff" stroke={INK} strokeWidth={1.4} />
          {word(x, y + 3, '2×', 8)}
        </G>
      ))}
      {drawing.eyelets.map(({ at, x, y, label, isUsed }) => (
        <G key={`${at.side} ${at.row}`}>
          <Circle cx={x} cy={y} r={3.4} fill={isUsed ? INK : '#ffffff'} stroke={INK} strokeWidth={1} />
          {word(x + Math.sign(x - width / 2) * 12, y + 3, label, 8.5)}
        </G>
      ))}
      {(['inner', 'outer'] as const).map((side) =>
        word(drawing.sides[side].x, drawing.sides[side].y, say(`lacing.${side}`), 8),
      )}
    </Svg>
  );
}

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
  const { lacing, points, breakIn } = sheet;
  const lines = [
    ...points.map(({ text }) => text),
    ...sheet.howItFits,
    ...(lacing.kind === 'laced'
      ? [...lacing.shoes.flatMap(({ because, steps }) => [...because, ...steps]), ...lacing.after]
      : lacing.steps),
    ...breakIn.weeks.map(({ text }) => text),
    ...breakIn.lines,
    ...sheet.skin,
    ...sheet.care,
    ...sheet.dates,
    ...sheet.shop,
    ...sheet.changes,
  ];
  const letters = lines.reduce((sum, line) => sum + line.length, 0);
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

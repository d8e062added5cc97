import { createRequire } from 'node:module';
import {
  Document,
  Font,
  Line,
  Page,
  Path,
  renderToBuffer,
  StyleSheet,
  Svg,
  Text,
  View,
} from '@react-pdf/renderer';
import { type PatientSheet, usedUpInWords } from '@/core/aftercare/patient-sheet';
import type { Drawing, DrawnPart } from '@/core/shoe/drawing/part';
import { sideProfile } from '@/core/shoe/drawing/side-profile';

const require = createRequire(import.meta.url);
const face = (name: string) => require.resolve(`@fontsource/${name}.woff`);

let registered = false;
function registerFaces(): void {
  if (registered) return;
  Font.register({
    family: 'text',
    fonts: [
      { src: face('ibm-plex-sans/files/ibm-plex-sans-latin-400-normal'), fontWeight: 400 },
      { src: face('ibm-plex-sans/files/ibm-plex-sans-latin-600-normal'), fontWeight: 600 },
    ],
  });
  Font.register({
    family: 'display',
    fonts: [{ src: face('vollkorn/files/vollkorn-latin-600-normal'), fontWeight: 600 }],
  });
  Font.registerHyphenationCallback((word) => [word]);
  registered = true;
}

const styles = StyleSheet.create({
  page: { padding: 36, fontFamily: 'text', fontSize: 9.5, lineHeight: 1.35, color: '#231d15' },
  title: { fontFamily: 'display', fontWeight: 600, fontSize: 19, lineHeight: 1.2 },
  head: { fontFamily: 'display', fontWeight: 600, fontSize: 11.5, marginTop: 7, marginBottom: 2 },
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

function Shoe({ drawing }: { drawing: Drawing }) {
  return (
    <Svg viewBox={drawing.viewBox.join(' ')} style={{ height: 92 }}>
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
    </Svg>
  );
}

const List = ({ items }: { items: readonly string[] }) => (
  <View>
    {items.map((item) => (
      <Text key={item}>– {item}</Text>
    ))}
  </View>
);

/** The patient's sheet as one PDF page, from the same value and the same drawing as the screen. */
export async function sheetPdf(sheet: PatientSheet): Promise<Buffer> {
  registerFaces();
  return renderToBuffer(
    <Document title={`Shoe sheet for ${sheet.patient}`} author={sheet.clinic} language="en">
      <Page size="A4" style={styles.page}>
        <Text style={styles.faint}>
          {sheet.clinic} · for {sheet.patient} · {sheet.startedOn}
        </Text>
        <Text style={styles.title}>Your shoe: {sheet.shoe}</Text>
        <Text>Size {sheet.size}</Text>
        <Shoe drawing={sideProfile(sheet.values)} />
        <View style={styles.columns}>
          <View style={styles.column}>
            <Text style={styles.head}>Why this shoe</Text>
            {sheet.features.map((feature) => (
              <Text key={feature.what}>
                <Text style={styles.strong}>{`${feature.what}: ${feature.wanted}. `}</Text>
                {feature.why}
              </Text>
            ))}
            <Text style={styles.head}>How it should fit</Text>
            <List items={sheet.howItFits} />
            {sheet.changes && (
              <>
                <Text style={styles.head}>Changed for you</Text>
                <List items={sheet.changes} />
              </>
            )}
            <Text style={styles.head}>Lacing: {sheet.lacing.name}</Text>
            <Text>
              {sheet.lacing.how} ({sheet.lacing.because})
            </Text>
          </View>
          <View style={styles.column}>
            <Text style={styles.head}>Breaking in</Text>
            {sheet.breakIn.map((step) => (
              <Text key={step.on + step.do}>
                <Text style={styles.strong}>{step.on} </Text>
                {step.do} {step.check}
              </Text>
            ))}
            <Text style={styles.head}>Dates</Text>
            <Text>Come back on {sheet.reviewOn}.</Text>
            <Text>{usedUpInWords(sheet)}</Text>
            <Text style={styles.head}>Socks and care</Text>
            <List items={sheet.care} />
          </View>
        </View>
        <View style={styles.warn}>
          <Text style={styles.strong}>Stop wearing them and call us, or urgent care, if you notice:</Text>
          <List items={sheet.stopAndCall} />
        </View>
        <Text style={{ marginTop: 5 }}>{sheet.bringAlong}</Text>
        {sheet.again && <Text>{sheet.again}</Text>}
        <Text style={styles.caution}>{sheet.caution}</Text>
      </Page>
    </Document>,
  );
}

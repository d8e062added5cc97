import { Circle, G, Line, Path, Rect, Svg, Text } from '@react-pdf/renderer';
import type { AmongKinds } from '@/core/aftercare/among';
import { AMONG, amongDrawing } from '@/core/aftercare/among-drawing';
import type { SheetWords } from '@/core/aftercare/headings';
import type { LacedShoe } from '@/core/aftercare/lacing-words';
import { LACE_WIDTH, lacingDrawing } from '@/core/lacing/drawing';
import type { ShoeEyelets } from '@/core/lacing/eyelets';
import type { Drawing, DrawnPart, NumberedPlace } from '@/core/shoe/drawing/part';
import { TEXT_FAMILY } from './fonts';

export const INK = '#231d15';

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

export function Shoe({ drawing, numbers }: { drawing: Drawing; numbers: readonly NumberedPlace[] }) {
  return (
    <Svg viewBox={drawing.viewBox.join(' ')} style={{ height: 88 }}>
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
      {numbers.map(({ number, at: [x, y] }) => (
        <G key={number}>
          <Circle cx={x} cy={y} r={8} fill="#ffffff" stroke={INK} strokeWidth={1} />
          <Text
            x={x - (number > 9 ? 6 : 3)}
            y={y + 3.8}
            style={{ fontFamily: TEXT_FAMILY, fontWeight: 600, fontSize: 11 }}
            fill={INK}
          >
            {number}
          </Text>
        </G>
      ))}
    </Svg>
  );
}

/** The same lacing as on the screen, by the same drawing. */
export function Laced({
  shoe,
  eyelets,
  words,
}: {
  shoe: LacedShoe;
  eyelets: ShoeEyelets;
  words: SheetWords;
}) {
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
        word(drawing.sides[side].x, drawing.sides[side].y, words[side], 8),
      )}
    </Svg>
  );
}

/** The pair among others of its use, as on the screen. */
export function Among({ among, words }: { among: AmongKinds; words: SheetWords }) {
  const { others, pair, label } = amongDrawing(among);
  const { left, right, top, bottom } = AMONG;
  const word = (x: number, y: number, text: string, anchor: 'start' | 'end' | 'middle' = 'start') => (
    <Text x={x} y={y} textAnchor={anchor} style={{ fontFamily: TEXT_FAMILY, fontSize: 8 }} fill={INK}>
      {text}
    </Text>
  );
  return (
    <Svg viewBox={AMONG.viewBox} style={{ width: 118, height: 60, marginTop: 8 }}>
      <Rect
        x={left}
        y={top}
        width={right - left}
        height={bottom - top}
        fill="none"
        stroke="#857760"
        strokeWidth={0.8}
      />
      {others.map(([x, y]) => (
        <Circle key={`${x} ${y}`} cx={x} cy={y} r={2.4} fill="#5d5343" />
      ))}
      <Circle cx={pair[0]} cy={pair[1]} r={5} fill="#0c5960" />
      {word(label.x, label.y, words.thisPair, label.anchor)}
      {word(left, bottom + 11, words.soft)}
      {word(right, bottom + 11, words.firm, 'end')}
      {word(left + 3, top + 9, words.stiff)}
      {word(left + 3, bottom - 4, words.bends)}
    </Svg>
  );
}

/** @jsxImportSource preact */
import { useState } from 'preact/hooks';
import { Press } from '../Parts';
import { NumberForm } from './NumberForm';
import type { TellProps } from './sending';

const GIRTHS = [
  ['ankleGirth', 'girthAnkle'],
  ['calfGirth', 'girthCalf'],
  ['figureOfEight', 'girthEight'],
] as const;

/** How thick a leg is, by place and side. */
export function Girth({ view, ...props }: TellProps) {
  const { words } = view;
  const [side, setSide] = useState<'left' | 'right'>('left');
  const [measure, setMeasure] = useState<(typeof GIRTHS)[number][0]>('ankleGirth');
  return (
    <>
      <div class="grid grid-cols-2 gap-2">
        <Press on={side === 'left'} onPress={() => setSide('left')}>
          {words.leftFoot}
        </Press>
        <Press on={side === 'right'} onPress={() => setSide('right')}>
          {words.rightFoot}
        </Press>
      </div>
      {GIRTHS.map(([one, word]) => (
        <Press key={one} on={measure === one} onPress={() => setMeasure(one)}>
          {words[word]}
        </Press>
      ))}
      <NumberForm
        key={`${side} ${measure}`}
        view={view}
        {...props}
        label={words.girth}
        toContent={(cm) => ({ kind: 'girth', side, measure, mm: Math.round(cm * 10) })}
        most={90}
      />
    </>
  );
}

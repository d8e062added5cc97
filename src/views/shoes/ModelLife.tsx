import type { ModelLifeRecord } from '@/contract/answers/pairs';
import { unitInWords } from '@/core/wear/learned/factor-effects';
import { writtenDay } from '@/ui/formats';
import { amountInWords } from '../pair/pair-words';

const WIDTH = 380;

/** How long pairs of a model last: as practice states it, and as this clinic's own pairs tell. */
export function ModelLife({ life }: { life: ModelLifeRecord }) {
  const { clock, stated, learned, isOurs } = life;
  const words = (amount: number) => amountInWords(clock, amount);
  const most = Math.max(stated.q90, learned?.life.q90 ?? 0) * 1.05;
  const rows = [
    { id: 'stated', label: isOurs ? 'our own guess' : 'stated', of: stated },
    ...(learned ? [{ id: 'learned', label: 'your pairs', of: learned.life }] : []),
  ];
  return (
    <section aria-labelledby="life">
      <h2 id="life">How long it lasts</h2>
      <svg
        viewBox={`0 0 ${WIDTH} ${rows.length * 26 + 4}`}
        className="w-full"
        role="img"
        aria-label={rows
          .map(
            ({ label, of }) =>
              `${label}: half by ${words(of.q50)}, 80 % between ${words(of.q10)} and ${words(of.q90)}`,
          )
          .join('; ')}
      >
        {rows.map(({ id, label, of }, row) => {
          const x = (amount: number) => 84 + (amount / most) * (WIDTH - 90);
          const y = row * 26 + 14;
          return (
            <g key={id}>
              <text x={0} y={y + 4} fontSize={14} fill="var(--faint)">
                {label}
              </text>
              <rect
                x={x(of.q10)}
                width={x(of.q90) - x(of.q10)}
                y={y - 7}
                height={14}
                fill={id === 'learned' ? 'var(--draw-foam)' : 'none'}
                stroke="var(--rule)"
              />
              <line
                x1={x(of.q50)}
                x2={x(of.q50)}
                y1={y - 10}
                y2={y + 10}
                stroke="var(--ink)"
                strokeWidth={1.5}
              />
            </g>
          );
        })}
      </svg>
      <p>
        {learned ? (
          <>
            Half are used up by <strong>{words(learned.life.q50)}</strong>, 80 % between{' '}
            {words(learned.life.q10)} and {words(learned.life.q90)}, on a wearer of 70 kg. From{' '}
            {learned.pairs} pairs of this version ({learned.wornOut} worn out) and {learned.relatives} others
            of its use ({learned.relativesWornOut} worn out), as of {writtenDay(learned.at)}.
          </>
        ) : (
          <>
            Half are used up by {words(stated.q50)}, 80 % between {words(stated.q10)} and {words(stated.q90)}
            {isOurs && ' (nobody states one: our own guess, wide on purpose)'}. Retired pairs will teach more.
          </>
        )}
      </p>
      {learned && (
        <details>
          <summary className="cursor-pointer">What shortens a life here</summary>
          <ul className="text-sm">
            {learned.effects.map(({ factor, by, from, to }) => (
              <li key={factor}>
                {unitInWords(factor)}: × {by.toFixed(2)}{' '}
                <span className="text-faint">
                  ({from.toFixed(2)} to {to.toFixed(2)})
                </span>
              </li>
            ))}
          </ul>
          <p className="text-faint text-xs">
            Starts from effect sizes of our own, with wide margins, and moves as pairs are retired. Pairs in
            use, and pairs given up for other reasons, count as having lasted at least that long.
          </p>
        </details>
      )}
    </section>
  );
}

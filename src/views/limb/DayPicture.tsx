import { area, line } from 'd3-shape';
import type { LimbPage } from '@/contract/limb';
import type { PlyAt } from '@/core/prosthesis/day-curve';
import { hourOfEntry, SOCK_FEELS, type SockEntry, type SockFeel } from '@/core/prosthesis/sock-log';
import { PlyLines } from './PlyLines';

const WIDTH = 640;
const HEIGHT = 250;
const LEFT = 40;
const TOP = 14;
const FOOT = 28;
const FROM = 6;
const UNTIL = 24;

const x = (hour: number) => LEFT + ((hour - FROM) / (UNTIL - FROM)) * (WIDTH - LEFT - 10);

/** How a look is marked: a ring where it was right, an arrow to where more or less was needed, a cross for pain. */
function Look({ at, y, feel }: { at: number; y: number; feel: SockFeel | undefined }) {
  const stroke = feel === 'pain' ? 'var(--warn)' : 'var(--ink)';
  const up = feel === 'loose' || feel === 'pistoning';
  if (feel === 'pain')
    return <path d={`M${at - 5} ${y - 5} l10 10 m0 -10 l-10 10`} stroke={stroke} strokeWidth="2.5" />;
  if (up || feel === 'tight') {
    const by = up ? -9 : 9;
    return (
      <path
        d={`M${at} ${y} v${by} m-4 ${up ? 4 : -4} l4 ${up ? -4 : 4} l4 ${up ? 4 : -4}`}
        stroke={stroke}
        fill="none"
        strokeWidth="2"
      />
    );
  }
  return <circle cx={at} cy={y} r="4.5" fill="var(--paper)" stroke={stroke} strokeWidth="2" />;
}

/** The day of a limb: looks so far, and the ply that the rest of it will ask for, with the band that holds it eight times of ten. */
export function DayPicture({
  day: { curve, range },
  entries,
  now,
}: {
  day: LimbPage['day'];
  entries: readonly SockEntry[];
  now: string;
}) {
  const today = entries.filter(({ at }) => at.startsWith(now.slice(0, 10)) && hourOfEntry({ at }) >= FROM);
  const most = Math.max(
    6,
    ...curve.map(({ high }) => Math.ceil(high) + 1),
    ...today.map(({ ply }) => ply + 2),
  );
  const y = (ply: number) => HEIGHT - FOOT - (ply / most) * (HEIGHT - FOOT - TOP);
  const shown = curve.filter(({ hour }) => hour >= FROM);
  const band = area<PlyAt>()
    .x(({ hour }) => x(hour))
    .y0(({ low }) => y(low))
    .y1(({ high }) => y(high));
  const middle = line<PlyAt>()
    .x(({ hour }) => x(hour))
    .y(({ mean }) => y(mean));
  return (
    <figure className="grid gap-1">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full max-w-5xl"
        role="img"
        aria-label={`Ply through the day: ${today.length} looks so far${
          range ? `, the rest of the day between ${range.from} and ${range.to}` : ''
        }`}
      >
        <PlyLines most={most} every={most > 14 ? 4 : 2} from={LEFT} to={WIDTH - 10} y={y} />
        {[6, 9, 12, 15, 18, 21, 24].map((hour) => (
          <text key={hour} x={x(hour)} y={HEIGHT - 8} fontSize="13" textAnchor="middle" fill="var(--ink)">
            {hour}
          </text>
        ))}
        {shown.length > 1 && (
          <>
            <path d={band(shown) ?? ''} fill="var(--accent)" opacity="0.18" />
            <path d={middle(shown) ?? ''} fill="none" stroke="var(--accent)" strokeWidth="2.5" />
          </>
        )}
        {hourOfEntry({ at: now }) >= FROM && (
          <line
            x1={x(hourOfEntry({ at: now }))}
            x2={x(hourOfEntry({ at: now }))}
            y1={TOP}
            y2={HEIGHT - FOOT}
            stroke="var(--rule)"
            strokeDasharray="4 4"
          />
        )}
        {today.map(({ at, ply, feel }) => (
          <Look key={at} at={x(hourOfEntry({ at }))} y={y(ply)} feel={feel} />
        ))}
      </svg>
      <figcaption className="text-faint">
        Ply by the hour. Ring: right; arrow: more or less was needed; cross: pain. Band: eight of ten.
      </figcaption>
      {today.length > 0 && (
        <details>
          <summary className="cursor-pointer">Today’s checks</summary>
          <ul>
            {today.map(({ at, ply, feel }) => (
              <li key={at} className="figure">
                {at.slice(11)} {ply} ply{feel ? `, ${SOCK_FEELS[feel]}` : ''}
              </li>
            ))}
          </ul>
        </details>
      )}
    </figure>
  );
}

import { SIDES } from '../findings/finding-kinds';
import type { TryOn } from '../fitting/try-on';
import type { RepeatInput } from './repeat';

/** The least room and the worst width that were read on either foot. */
export function fitRead(tryOn: TryOn | undefined): Pick<RepeatInput, 'roomMm' | 'widthFit'> {
  const feet = SIDES.flatMap((side) => tryOn?.[side] ?? []);
  const rooms = feet.flatMap(({ roomMm }) => roomMm ?? []);
  const widths = feet.flatMap(({ widthFit }) => widthFit ?? []);
  return {
    roomMm: rooms.length === 0 ? null : Math.min(...rooms),
    widthFit: widths.find((width) => width !== 'right') ?? widths[0] ?? null,
  };
}

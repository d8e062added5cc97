import type { SockKind } from './sock-stack';

/** How a prosthesis is held on the limb. Pin and lanyard pass through the sock, suction and vacuum do not (handbook 06). */
export const SUSPENSIONS = {
  pin: 'pin',
  lanyard: 'lanyard',
  suction: 'suction',
  vacuum: 'vacuum',
  sleeve: 'sleeve or strap',
} as const;
export type Suspension = keyof typeof SUSPENSIONS;

/** Whether only socks with a hole at the end can be worn; null where nobody said how the prosthesis is held. */
export const needsHole = (suspension: Suspension | null | undefined): boolean | null =>
  suspension ? suspension === 'pin' || suspension === 'lanyard' : null;

/** A maker’s mark for a ply. No two makers agree, so a clinic enters each once. */
export interface ChartColour {
  colour: string;
  ply: number;
}
export interface SockChart {
  maker: string;
  colours: readonly ChartColour[];
}

/** Socks of one kind as they lie in the drawer: of a maker and a colour, or by their ply alone. */
export interface DrawerSock {
  ply: number;
  hole: boolean;
  quantity: number;
  maker?: string | undefined;
  colour?: string | undefined;
}

/** The ply that a maker marks with a colour; null where the chart does not say. */
export function plyOfColour(charts: readonly SockChart[], maker: string, colour: string): number | null {
  const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();
  return (
    charts.find((chart) => same(chart.maker, maker))?.colours.find((entry) => same(entry.colour, colour))
      ?.ply ?? null
  );
}

/** Socks whose colour a maker’s chart marks with another ply than is written on them, or not at all. */
export const offChart = (
  charts: readonly SockChart[],
  drawer: readonly DrawerSock[],
): { sock: DrawerSock; chart: number | null }[] =>
  drawer.flatMap((sock) => {
    if (!sock.maker || !sock.colour) return [];
    const chart = plyOfColour(charts, sock.maker, sock.colour);
    return chart === sock.ply ? [] : [{ sock, chart }];
  });

/** A drawer by ply and hole alone: what adds up is ply, whoever made it. */
export function kindsOf(drawer: readonly DrawerSock[]): SockKind[] {
  const kinds = new Map<string, SockKind>();
  for (const { ply, hole, quantity } of drawer) {
    const key = `${ply}${hole}`;
    kinds.set(key, { ply, hole, quantity: (kinds.get(key)?.quantity ?? 0) + quantity });
  }
  return [...kinds.values()];
}

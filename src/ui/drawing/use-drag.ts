import type { KeyboardEvent, PointerEvent } from 'react';

export interface Spot {
  x: number;
  y: number;
}

/** Where a pointer is, in the user units of the drawing it moves over. */
export function spotOf(event: PointerEvent<SVGElement>): Spot {
  const svg = event.currentTarget.ownerSVGElement ?? (event.currentTarget as SVGSVGElement);
  const matrix = svg.getScreenCTM();
  if (!matrix) return { x: 0, y: 0 };
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return { x: point.x, y: point.y };
}

const ARROWS: Record<string, Spot> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** The move that an arrow key asks for: one step, ten with Shift; null for any other key. */
export function arrowMove(event: KeyboardEvent, step: number): Spot | null {
  const arrow = ARROWS[event.key];
  if (!arrow) return null;
  event.preventDefault();
  const by = event.shiftKey ? step * 10 : step;
  return { x: arrow.x * by, y: arrow.y * by };
}

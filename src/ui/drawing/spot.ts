import type { PointerEvent } from 'react';

export interface Spot {
  x: number;
  y: number;
}

/** A point of the window in the user units of the drawing that `element` belongs to. */
export function spotAt(element: SVGElement, [clientX, clientY]: readonly [number, number]): Spot {
  const svg = element instanceof SVGSVGElement ? element : element.ownerSVGElement;
  const matrix = svg?.getScreenCTM();
  if (!matrix) return { x: 0, y: 0 };
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse());
  return { x, y };
}

/** Where a pointer is on the drawing that it moves over. */
export const spotOf = (event: PointerEvent<SVGElement>): Spot =>
  spotAt(event.currentTarget, [event.clientX, event.clientY]);

import type { ReactNode } from 'react';

/** A small drawing of even lines that stands beside words saying the same, so that nothing reads it aloud. */
export const LineDrawing = ({
  box,
  className,
  children,
}: {
  box: string;
  className: string;
  children: ReactNode;
}) => (
  <svg
    viewBox={box}
    className={className}
    aria-hidden="true"
    fill="none"
    stroke="var(--draw-line)"
    strokeWidth="1.3"
    strokeLinecap="round"
    strokeLinejoin="round"
  >
    {children}
  </svg>
);

import { type ReactNode, useEffect, useRef } from 'react';

interface Props {
  /** Nothing is drawn where there is none. */
  picture: ImageBitmap | undefined;
  width: number;
  height: number;
  label: string;
  /** How high it stands on the page. */
  className: string;
  /** Lines and handles in the picture's own pixels. */
  children: ReactNode;
}

/** A picture with what is placed on it. */
export function PictureStage({ picture, width, height, label, className, children }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (picture) canvas.current?.getContext('2d')?.drawImage(picture, 0, 0);
  }, [picture]);
  return (
    <div className={`relative bg-desk border border-line ${className}`}>
      <canvas
        ref={canvas}
        width={width}
        height={height}
        className="absolute inset-0 w-full h-full object-contain"
      />
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={label}
        className="absolute inset-0 w-full h-full touch-none"
      >
        {children}
      </svg>
    </div>
  );
}

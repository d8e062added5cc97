import type { ReactNode } from 'react';
import { type Guide, GuideDrawing } from '@/ui/drawing/GuideDrawing';

/** Fields between two drawings of how they are taken; on a narrow work area the drawings stand under them. */
export function Guided({ left, right, children }: { left: Guide; right: Guide; children: ReactNode }) {
  return (
    <div className="grid grid-cols-2 min-[1150px]:grid-cols-[auto_minmax(0,1fr)_auto] gap-3 items-center">
      <div className="max-[1150px]:col-span-2 min-[1150px]:order-2">{children}</div>
      <div className="min-[1150px]:order-1">
        <GuideDrawing of={left} />
      </div>
      <div className="min-[1150px]:order-3 max-[1150px]:justify-self-end">
        <GuideDrawing of={right} />
      </div>
    </div>
  );
}

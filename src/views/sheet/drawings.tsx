import { renderToStaticMarkup } from 'react-dom/server';
import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { callouts } from '@/core/shoe/drawing/callouts';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { LacingDiagram } from '@/ui/drawing/LacingDiagram';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';

/** The pair and its laces as markup, for a page that has no React. */
export function drawingsOf({ points, values, soleMm, lacing, words }: PatientSheet): {
  shoe: string;
  lacing: string[];
} {
  const numbered = points.flatMap(({ feature }) => (feature === null ? [] : [feature]));
  return {
    shoe: renderToStaticMarkup(
      <ShoeDrawing
        drawing={{ ...sideProfile(values, soleMm), dimensions: [] }}
        lit={new Set(numbered)}
        numbers={callouts(numbered, values, soleMm)}
        className="w-full"
      />,
    ),
    lacing:
      lacing.kind === 'laced'
        ? lacing.shoes.map(({ side, lacing: way, steps }) =>
            renderToStaticMarkup(
              <LacingDiagram
                side={side}
                eyelets={lacing.eyelets}
                lacing={way}
                words={words}
                summary={steps.join(' ')}
                className="w-full"
              />,
            ),
          )
        : [],
  };
}

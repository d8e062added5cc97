import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { callouts } from '@/core/shoe/drawing/callouts';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { LacingDiagram } from '@/ui/drawing/LacingDiagram';
import { ShareBar } from '@/ui/drawing/ShareBar';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { Among } from './Among';

const COLUMNS = 'grid sm:grid-cols-2 print:grid-cols-2 gap-x-8 gap-y-3 mt-3';

interface Props {
  sheet: PatientSheet;
}

/** What the patient takes home, one page, plain words; screen and print, from the side that its language is written from. */
export function Sheet({ sheet }: Props) {
  const { words, changes, again, caution } = sheet;
  return (
    <article className="sheet text-base max-w-4xl" lang={sheet.language} dir={sheet.direction}>
      <p className="text-faint">
        {sheet.clinic}; {words.for}
      </p>
      <h1 className="text-3xl">{words.title}</h1>
      <p>{words.size}</p>
      <Points sheet={sheet} />
      <div className={COLUMNS}>
        <div className="grid gap-3 content-start">
          <Fit sheet={sheet} />
          <Part title={words.socks} lines={sheet.skin} />
          <Part title={words.care} lines={sheet.care} />
          {changes.length > 0 && <Part title={words.changes} lines={changes} />}
        </div>
        <div className="grid gap-3 content-start">
          <BreakIn sheet={sheet} />
          <Part title={words.dates} lines={[...sheet.dates, ...(again ? [again] : [])]} />
        </div>
      </div>
      <Lacing sheet={sheet} />
      <section className="border-2 border-warn p-3 mt-4 break-inside-avoid">
        <h2>{words.stop}</h2>
        <ul className="list-disc ps-5 sm:columns-2 print:columns-2">
          {sheet.stopAndCall.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        {words.call !== '' && (
          <p className="mt-1">
            <strong>{words.call}</strong>
          </p>
        )}
      </section>
      <p className="text-faint text-sm mt-3">{caution}</p>
    </article>
  );
}

function Part({ title, lines }: { title: string; lines: readonly string[] }) {
  return (
    <section className="break-inside-avoid">
      <h2>{title}</h2>
      <ul className="list-disc ps-5">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

/** The pair with a number at each place that matters, and what it is for. */
function Points({ sheet: { points, values, soleMm, words, among } }: Props) {
  const numbered = points.flatMap(({ feature }) => (feature === null ? [] : [feature]));
  return (
    <section className="grid sm:grid-cols-[3fr_2fr] print:grid-cols-[3fr_2fr] gap-5 items-center">
      <ShoeDrawing
        drawing={{ ...sideProfile(values, soleMm), dimensions: [] }}
        lit={new Set(numbered)}
        numbers={callouts(numbered, values, soleMm)}
        className="w-full max-h-64"
      />
      <div>
        <h2>{words.why}</h2>
        {points.length === 0 && <p>{words.nothingSpecial}</p>}
        <ol className="list-decimal ps-6">
          {points.map(({ text }) => (
            <li key={text}>{text}</li>
          ))}
        </ol>
        {among && <Among among={among} words={words} />}
      </div>
    </section>
  );
}

function Fit({ sheet: { howItFits, roomMm, words } }: Props) {
  return (
    <section className="break-inside-avoid">
      <h2>{words.fit}</h2>
      <ul className="list-disc ps-5">
        {howItFits.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <svg width={`${roomMm.most}mm`} height="3mm" viewBox="0 0 10 2" preserveAspectRatio="none" aria-hidden>
        <rect width={10} height={2} fill="var(--accent)" />
      </svg>
      <p className="text-faint text-sm">{words.ruler}</p>
    </section>
  );
}

function Lacing({ sheet: { lacing, words } }: Props) {
  if (lacing.kind === 'closure') return <Part title={words.closing} lines={lacing.steps} />;
  return (
    <section className="mt-3">
      <h2>{words.lacing}</h2>
      <div className="grid sm:grid-cols-2 print:grid-cols-2 gap-x-8">
        {lacing.shoes.map((shoe) => (
          <div
            key={shoe.label}
            className="grid grid-cols-[9.5rem_minmax(0,1fr)] gap-3 break-inside-avoid mb-2"
          >
            <LacingDiagram
              side={shoe.side}
              eyelets={lacing.eyelets}
              lacing={shoe.lacing}
              words={words}
              summary={shoe.steps.join(' ')}
              className="w-full"
            />
            <div>
              <strong>{shoe.label}</strong>
              {shoe.because.map((line) => (
                <p key={line}>{line}</p>
              ))}
              <ol className="list-decimal ps-5">
                {shoe.steps.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
            </div>
          </div>
        ))}
        <div className="self-end">
          {lacing.after.map((line) => (
            <p key={line}>{line}</p>
          ))}
          <p className="text-faint text-sm">{words.lacingView}</p>
        </div>
      </div>
    </section>
  );
}

/** Week by week: the bar is how much of the week is in the new pair. */
function BreakIn({ sheet: { breakIn, words } }: Props) {
  return (
    <section className="break-inside-avoid">
      <h2>{words.breakIn}</h2>
      <ol className="grid gap-1 mb-1">
        {breakIn.weeks.map((week) => (
          <li key={week.from} className="grid grid-cols-[8.5rem_minmax(0,1fr)] gap-2">
            <span>
              <strong>{week.label}</strong>
              <span className="block text-faint text-sm">{week.fromInWords}</span>
              <ShareBar share={week.share} className="mt-0.5" />
            </span>
            <span>{week.text}</span>
          </li>
        ))}
      </ol>
      <ul className="list-disc ps-5">
        {breakIn.lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import { callouts } from '@/core/shoe/drawing/callouts';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { dayIn, type Say, sayIn } from '@/core/texts/say';
import { LacingDiagram } from '@/ui/drawing/LacingDiagram';
import { ShareBar } from '@/ui/drawing/ShareBar';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';

const COLUMNS = 'grid sm:grid-cols-2 print:grid-cols-2 gap-x-8 gap-y-3 mt-3';

/** What the patient takes home, one page, plain words; screen and print. */
export function Sheet({ sheet }: { sheet: PatientSheet }) {
  const say = sayIn(sheet.language);
  return (
    <article className="sheet text-base max-w-4xl" lang={sheet.language}>
      <p className="text-faint">
        {sheet.clinic}; {say('for', { patient: sheet.patient, on: dayIn(sheet.language, sheet.startedOn) })}
      </p>
      <h1 className="text-3xl">{say('title', { shoe: sheet.shoe })}</h1>
      <p>{say('size', { size: sheet.size })}</p>
      <Points sheet={sheet} say={say} />
      <div className={COLUMNS}>
        <Fit sheet={sheet} say={say} />
        <BreakIn sheet={sheet} say={say} />
      </div>
      <Lacing sheet={sheet} say={say} />
      <div className={COLUMNS}>
        <div className="grid gap-3 content-start">
          <Part title={say('socks.title')} lines={sheet.skin} />
          {sheet.shop.length > 0 && <Part title={say('care.title')} lines={sheet.care} />}
          {sheet.changes.length > 0 && <Part title={say('changes.title')} lines={sheet.changes} />}
        </div>
        <div className="grid gap-3 content-start">
          <Part title={say('dates.title')} lines={[...sheet.dates, ...(sheet.again ? [sheet.again] : [])]} />
          {sheet.shop.length > 0 ? (
            <Part title={say('shop.title')} lines={sheet.shop} />
          ) : (
            <Part title={say('care.title')} lines={sheet.care} />
          )}
        </div>
      </div>
      <section className="border-2 border-warn p-3 mt-4 break-inside-avoid">
        <h2>{say('stop.title')}</h2>
        <ul className="list-disc pl-5 sm:columns-2 print:columns-2">
          {sheet.stopAndCall.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        {sheet.phone !== '' && (
          <p className="mt-1">
            <strong>{say('stop.call', { phone: sheet.phone })}</strong>
          </p>
        )}
      </section>
      <p className="text-faint text-sm mt-3">{sheet.caution}</p>
    </article>
  );
}

interface Props {
  sheet: PatientSheet;
  say: Say;
}

function Part({ title, lines }: { title: string; lines: readonly string[] }) {
  return (
    <section className="break-inside-avoid">
      <h2>{title}</h2>
      <ul className="list-disc pl-5">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

/** The pair with a number at each place that matters, and what it is for. */
function Points({ sheet, say }: Props) {
  const { points, values } = sheet;
  const numbered = points.flatMap(({ feature }) => (feature === null ? [] : [feature]));
  return (
    <section className="grid sm:grid-cols-[3fr_2fr] print:grid-cols-[3fr_2fr] gap-5 items-center">
      <ShoeDrawing
        drawing={{ ...sideProfile(values), dimensions: [] }}
        lit={new Set(numbered)}
        numbers={callouts(numbered, values)}
        className="w-full max-h-64"
      />
      <div>
        <h2>{say('why.title')}</h2>
        {points.length === 0 && <p>{say('why.none')}</p>}
        <ol className="list-decimal pl-6">
          {points.map(({ text }) => (
            <li key={text}>{text}</li>
          ))}
        </ol>
      </div>
    </section>
  );
}

function Fit({ sheet: { howItFits, roomMm }, say }: Props) {
  return (
    <section className="break-inside-avoid">
      <h2>{say('fit.title')}</h2>
      <ul className="list-disc pl-5">
        {howItFits.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <svg width={`${roomMm.most}mm`} height="3mm" viewBox="0 0 10 2" preserveAspectRatio="none" aria-hidden>
        <rect width={10} height={2} fill="var(--accent)" />
      </svg>
      <p className="text-faint text-sm">{say('fit.ruler', roomMm)}</p>
    </section>
  );
}

function Lacing({ sheet: { lacing }, say }: Props) {
  if (lacing.kind === 'closure') return <Part title={say('closure.title')} lines={lacing.steps} />;
  return (
    <section className="mt-3">
      <h2>{say('lacing.title')}</h2>
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
              words={{ inner: say('lacing.inner'), outer: say('lacing.outer') }}
              summary={shoe.steps.join(' ')}
              className="w-full"
            />
            <div>
              <strong>{shoe.label}</strong>
              {shoe.because.map((line) => (
                <p key={line}>{line}</p>
              ))}
              <ol className="list-decimal pl-5">
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
          <p className="text-faint text-sm">{say('lacing.view')}</p>
        </div>
      </div>
    </section>
  );
}

/** Week by week: the bar is how much of the week is in the new pair. */
function BreakIn({ sheet: { breakIn, language }, say }: Props) {
  return (
    <section className="break-inside-avoid">
      <h2>{say('break-in.title')}</h2>
      <ol className="grid gap-1 mb-1">
        {breakIn.weeks.map((week) => (
          <li key={week.from} className="grid grid-cols-[8.5rem_minmax(0,1fr)] gap-2">
            <span>
              <strong>{week.label}</strong>
              <span className="block text-faint text-sm">{dayIn(language, week.from)}</span>
              <ShareBar share={week.share} className="mt-0.5" />
            </span>
            <span>{week.text}</span>
          </li>
        ))}
      </ol>
      <ul className="list-disc pl-5">
        {breakIn.lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

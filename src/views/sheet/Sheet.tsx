import { type PatientSheet, usedUpInWords } from '@/core/aftercare/patient-sheet';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';

/** What the patient takes home, one page, plain words; screen and print. */
export function Sheet({ sheet }: { sheet: PatientSheet }) {
  return (
    <article className="text-base max-w-4xl">
      <p className="text-faint">
        {sheet.clinic}; for {sheet.patient}; {sheet.startedOn}
      </p>
      <h1 className="text-3xl">Your shoe: {sheet.shoe}</h1>
      <p className="mb-2">Size {sheet.size}</p>
      <ShoeDrawing drawing={{ ...sideProfile(sheet.values), dimensions: [] }} className="h-40" />
      <div className="grid md:grid-cols-2 gap-8 mt-3">
        <div className="grid gap-3 content-start">
          <section>
            <h2>Why this shoe</h2>
            <ul className="grid gap-1">
              {sheet.features.map((feature) => (
                <li key={feature.what}>
                  <strong>
                    {feature.what}: {feature.wanted}.
                  </strong>{' '}
                  {feature.why}
                </li>
              ))}
            </ul>
          </section>
          <section>
            <h2>How it should fit</h2>
            <ul className="list-disc pl-5">
              {sheet.howItFits.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </section>
          {sheet.changes && (
            <section>
              <h2>Changed for you</h2>
              <ul className="list-disc pl-5">
                {sheet.changes.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </section>
          )}
          <section>
            <h2>Lacing: {sheet.lacing.name}</h2>
            <p>
              {sheet.lacing.how} ({sheet.lacing.because})
            </p>
          </section>
        </div>
        <div className="grid gap-3 content-start">
          <section>
            <h2>Breaking in</h2>
            <ol>
              {sheet.breakIn.map((step) => (
                <li key={step.on + step.do} className="grid grid-cols-[6.5rem_1fr] gap-2 py-0.5">
                  <strong className="figure">{step.on}</strong>
                  <span>
                    {step.do} <span className="text-faint">{step.check}</span>
                  </span>
                </li>
              ))}
            </ol>
          </section>
          <section>
            <h2>Dates</h2>
            <p>
              Come back on <strong>{sheet.reviewOn}</strong>. {usedUpInWords(sheet)}
            </p>
          </section>
          <section>
            <h2>Socks and care</h2>
            <ul className="list-disc pl-5">
              {sheet.care.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </section>
        </div>
      </div>
      <section className="border-2 border-warn p-3 mt-4">
        <h2>Stop wearing them and call us, or urgent care, if you notice</h2>
        <ul className="list-disc pl-5">
          {sheet.stopAndCall.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </section>
      <p className="mt-3">{sheet.bringAlong}</p>
      {sheet.again && <p>{sheet.again}</p>}
      <p className="text-faint text-sm mt-3">{sheet.caution}</p>
    </article>
  );
}

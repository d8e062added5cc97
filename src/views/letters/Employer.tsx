import type { EmployerLetter } from '@/core/letters/employer-letter';

/** What an employer is told of a pair that is worn at work. */
export function Employer({ letter }: { letter: EmployerLetter }) {
  return (
    <article className="sheet max-w-3xl grid gap-3" lang={letter.language} dir={letter.direction}>
      <p className="text-faint">{letter.clinic}</p>
      <p>{letter.to}</p>
      <h1>{letter.title}</h1>
      <p>{letter.says}</p>
      <section>
        <h2>{letter.pairHead}</h2>
        {letter.pair.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </section>
      <section>
        <h2>{letter.featuresHead}</h2>
        <ul className="list-disc ps-5">
          {letter.features.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </section>
      {letter.lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {letter.call !== '' && (
        <p>
          <strong>{letter.call}</strong>
        </p>
      )}
      <p className="mt-8 border-t border-rule w-64 pt-1 text-faint text-sm">{letter.clinic}</p>
    </article>
  );
}

import type { ReferrerLetter } from '@/core/letters/referrer-letter';
import { SHEET_CAUTION } from '@/core/safety/cautions';
import { writtenDay } from '@/ui/formats';

interface Props {
  letter: ReferrerLetter;
  clinic: string;
  patient: { name: string; bornOn: string };
  seenOn: string;
  provided: { shoe: string; size: string; startedOn: string; reviewOn: string; phone: string } | null;
}

/** A visit on one page for the doctor who referred. */
export function Referrer({ letter, clinic, patient, seenOn, provided }: Props) {
  const { found, reasons, more, changes, warnings, risk } = letter;
  return (
    <article className="sheet max-w-3xl grid gap-3">
      <p className="text-faint">
        {clinic}
        {provided && provided.phone !== '' && `, ${provided.phone}`}
      </p>
      <h1>
        <bdi>{patient.name}</bdi>, born {writtenDay(patient.bornOn)}
      </h1>
      <p>
        Seen for footwear on {writtenDay(seenOn)}.{' '}
        {provided
          ? `Provided: ${provided.shoe}, ${provided.size}, worn from ${writtenDay(provided.startedOn)}. Review here on ${writtenDay(provided.reviewOn)}.`
          : 'Nothing was handed over at this visit.'}
      </p>
      {warnings.length > 0 && (
        <section className="border-2 border-warn p-3">
          <h2>Needs more than a shoe</h2>
          <ul className="list-disc ps-5">
            {warnings.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2>Findings that shaped the prescription</h2>
        {found.length === 0 ? <p>Nothing that calls for a particular shoe.</p> : <p>{found.join('; ')}.</p>}
        {risk && <p>{risk}</p>}
      </section>
      {reasons.length > 0 && (
        <section>
          <h2>The shoe, and why</h2>
          <table className="w-full">
            <thead>
              <tr>
                <th scope="col">Feature</th>
                <th scope="col">Asked for</th>
                <th scope="col">Because</th>
              </tr>
            </thead>
            <tbody>
              {reasons.map(({ feature, target, because }) => (
                <tr key={feature} className="border-b border-line align-top">
                  <th scope="row" className="font-normal">
                    {feature}
                  </th>
                  <td>{target}</td>
                  <td>{because}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {more > 0 && (
            <p className="text-faint">And {more} more, in the rationale, which we send on request.</p>
          )}
        </section>
      )}
      {changes.length > 0 && (
        <section>
          <h2>Changed on the pair</h2>
          <p>{changes.join('; ')}.</p>
        </section>
      )}
      <p className="text-faint text-sm">{SHEET_CAUTION}</p>
    </article>
  );
}

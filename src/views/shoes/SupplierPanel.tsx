import { useState } from 'react';
import { type Answer, call, failureInWords } from '@/contract/client';
import type { SupplierAnnouncement } from '@/contract/records';

/** What the supplier announces: taken over or set aside, one by one or all of a kind. */
export function SupplierPanel({ items: given }: { items: SupplierAnnouncement[] }) {
  const [items, setItems] = useState(given);
  const [answer, setAnswer] = useState<Answer<SupplierAnnouncement[]> | null>(null);
  const reply = async (body: { take?: string[]; ignore?: string[] }) => {
    const result = await call('answerSupplier', { body });
    setAnswer(result);
    if (result.ok) setItems(result.value);
  };
  return (
    <section aria-labelledby="supplier" className="grid gap-2">
      <h2 id="supplier">From the supplier</h2>
      <p className="text-faint">
        A simulated supplier announces new versions, ends, prices and deliveries month by month.
      </p>
      {items.length === 0 ? (
        <p>Nothing new.</p>
      ) : (
        <>
          <p>
            <button
              type="button"
              className="press"
              onClick={() => reply({ take: items.map(({ id }) => id) })}
            >
              Take over all {items.length}
            </button>
          </p>
          <table className="tight text-sm">
            <thead>
              <tr>
                <th scope="col">Model</th>
                <th scope="col">Announced</th>
                <th scope="col">Worn by</th>
                <th scope="col">
                  <span className="sr-only">Answer</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {items.map((item) => (
                <tr key={item.id}>
                  <th scope="row" className="text-ink">
                    {item.title}
                  </th>
                  <td className={item.kind === 'new-version' && item.wearers > 0 ? 'text-hold' : ''}>
                    {item.what}
                  </td>
                  <td className="figure">{item.wearers || ''}</td>
                  <td className="whitespace-nowrap text-right">
                    {(['take', 'ignore'] as const).map((how) => (
                      <button
                        key={how}
                        type="button"
                        className="press press-quiet"
                        onClick={() => reply({ [how]: [item.id] })}
                      >
                        {how === 'take' ? 'Take over' : 'Set aside'}
                        <span className="sr-only">
                          {' '}
                          {item.title}: {item.what}
                        </span>
                      </button>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {answer && !answer.ok && (
        <p role="alert" className="problem">
          {failureInWords(answer)}
        </p>
      )}
    </section>
  );
}

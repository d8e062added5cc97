import { useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { SupplierAnnouncement } from '@/contract/records';
import { DataTable } from '@/ui/table/DataTable';

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
          <DataTable
            spacing="tight"
            rows={items}
            keyOf={(item) => item.id}
            columns={[
              {
                id: 'model',
                head: 'Model',
                namesRow: true,
                className: 'text-ink',
                cell: (item) => item.title,
              },
              {
                id: 'what',
                head: 'Announced',
                className: (item) => (item.kind === 'new-version' && item.wearers > 0 ? 'text-hold' : ''),
                cell: (item) => item.what,
              },
              { id: 'wearers', head: 'Worn by', figure: true, cell: (item) => item.wearers || '' },
              {
                id: 'answer',
                head: 'Answer',
                quiet: true,
                className: 'whitespace-nowrap text-right',
                cell: (item) =>
                  (['take', 'ignore'] as const).map((how) => (
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
                  )),
              },
            ]}
          />
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

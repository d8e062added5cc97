import { useState } from 'react';
import { type HomeLinkRecord, LINK_DAYS } from '@/contract/home';
import { QrCode } from '@/ui/drawing/QrCode';
import { Select } from '@/ui/fields/Select';
import { writtenDay } from '@/ui/formats';

const STATE = {
  good: 'open',
  locked: 'closed by five wrong dates of birth',
  revoked: 'closed',
  expired: 'run out',
} as const;

interface Props {
  links: readonly HomeLinkRecord[];
  onMake: (days: (typeof LINK_DAYS)[number]) => Promise<void>;
  onClose: (id: string) => Promise<void>;
}

/** The links that lead to a patient’s own page: the good one as a code to be read by a phone, the others in a line. */
export function HomeLinks({ links, onMake, onClose }: Props) {
  const [days, setDays] = useState<(typeof LINK_DAYS)[number]>(LINK_DAYS[0]);
  const good = links.find(({ state }) => state === 'good');
  const others = links.filter((link) => link !== good);
  return (
    <div>
      {good ? (
        <div className="grid grid-cols-[9rem_1fr] gap-4">
          {good.url ? (
            <QrCode text={good.url} label="Code that leads to the patient’s own page" className="w-full" />
          ) : (
            <span />
          )}
          <div>
            <p>
              <strong>The patient’s own page</strong> opens with this code and the date of birth.
            </p>
            {good.url && (
              <button
                type="button"
                className="press mt-1"
                onClick={() => void navigator.clipboard.writeText(good.url ?? '')}
              >
                Copy the link
              </button>
            )}
            <p className="text-faint mt-1">
              {linkInWords(good)} Closing it closes every phone on which it was opened.
            </p>
            <button type="button" className="press mt-1" onClick={() => void onClose(good.id)}>
              Close this link
            </button>
          </div>
        </div>
      ) : (
        <div>
          <p>
            With a page of their own the patient sees the pair, the lacing and today’s step on a phone, and
            says how it goes. It opens with a code and the date of birth; nobody needs an account.
          </p>
          <div className="flex flex-wrap gap-3 items-end mt-2">
            <Select
              label="Open for"
              value={String(days)}
              options={Object.fromEntries(LINK_DAYS.map((count) => [String(count), `${count} days`]))}
              onChange={(value) =>
                setDays(LINK_DAYS.find((count) => String(count) === value) ?? LINK_DAYS[0])
              }
            />
            <button type="button" className="press press-main" onClick={() => void onMake(days)}>
              Make a link
            </button>
          </div>
        </div>
      )}
      {others.length > 0 && (
        <details className="mt-2">
          <summary className="cursor-pointer">
            {others.length === 1 ? 'One earlier link' : `${others.length} earlier links`}
          </summary>
          <ul className="text-faint">
            {others.map((link) => (
              <li key={link.id}>
                {STATE[link.state]}; {linkInWords(link)}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

const linkInWords = ({ madeAt, by, expiresAt, phones, seenAt }: HomeLinkRecord): string =>
  [
    `Made ${writtenDay(madeAt)}${by ? ` by ${by}` : ''}, good until ${writtenDay(expiresAt)}.`,
    phones === 0
      ? 'Not opened yet.'
      : `Opened on ${phones === 1 ? 'one phone' : `${phones} phones`}${seenAt ? `, last looked at ${writtenDay(seenAt)}` : ''}.`,
  ].join(' ');

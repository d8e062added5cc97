import type { ReactNode } from 'react';

/** A row of the review: its name with whether it was looked at, and its work. */
export function Row({ title, done, children }: { title: string; done: boolean; children: ReactNode }) {
  return (
    <li
      className="grid md:grid-cols-[7.5rem_minmax(0,1fr)] gap-x-4 gap-y-1 border-b border-line py-2"
      data-row={title}
    >
      <h2 className="text-base">
        {title}
        <span className="block text-faint text-xs font-normal">{done ? 'looked at' : 'not yet'}</span>
      </h2>
      <div className="min-w-0">{children}</div>
    </li>
  );
}

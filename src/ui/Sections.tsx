import { Content, List, Root, Trigger } from '@radix-ui/react-tabs';
import { type ReactNode, Suspense, useEffect, useState } from 'react';

/**
 * Parts of a long step, one at a time, so that each fits the page; a part that few open may be lazy.
 *
 * @param byAddress a page’s own parts: `#outcomes` in the address opens that one
 */
export function Sections({
  label,
  parts,
  byAddress = false,
}: {
  label: string;
  byAddress?: boolean;
  parts: readonly { id: string; title: string; content: ReactNode }[];
}) {
  const [open, setOpen] = useState(parts[0]?.id ?? '');
  const ids = parts.map(({ id }) => id).join(' ');
  useEffect(() => {
    if (!byAddress) return;
    const go = () => {
      const wanted = location.hash.slice(1);
      if (ids.split(' ').includes(wanted)) setOpen(wanted);
    };
    go();
    window.addEventListener('hashchange', go);
    return () => window.removeEventListener('hashchange', go);
  }, [byAddress, ids]);
  return (
    <Root value={open} onValueChange={setOpen}>
      <List
        aria-label={label}
        className="flex flex-wrap gap-x-5 gap-y-1 border-b border-line mb-3"
        // A press moves the focus by script, which browsers take for the keyboard’s: the ring is for keys alone.
        onPointerDownCapture={({ currentTarget }) => {
          currentTarget.dataset.by = 'pointer';
        }}
        onKeyDownCapture={({ currentTarget }) => {
          currentTarget.dataset.by = 'keys';
        }}
      >
        {parts.map((part) => (
          <Trigger
            key={part.id}
            value={part.id}
            className="pb-1 whitespace-nowrap cursor-pointer outline-offset-4 data-[state=active]:font-semibold data-[state=active]:border-b-2 data-[state=active]:border-accent focus-visible:outline-2 focus-visible:outline-accent in-data-[by=pointer]:outline-none"
          >
            {part.title}
          </Trigger>
        ))}
      </List>
      {parts.map((part) => (
        // What is in it takes the focus, not the part itself.
        <Content key={part.id} value={part.id} tabIndex={-1} className="outline-none">
          <Suspense
            fallback={
              <p className="text-faint" data-opening>
                Opening …
              </p>
            }
          >
            {part.content}
          </Suspense>
        </Content>
      ))}
    </Root>
  );
}

import { type ReactNode, Suspense } from 'react';
import { Tab, TabList, TabPanel, Tabs } from 'react-aria-components';

/** Parts of a long step, one at a time, so that each fits the page; a part that few open may be lazy. */
export function Sections({
  label,
  parts,
}: {
  label: string;
  parts: readonly { id: string; title: string; content: ReactNode }[];
}) {
  return (
    <Tabs keyboardActivation="automatic">
      <TabList aria-label={label} className="flex gap-5 border-b border-line mb-3">
        {parts.map((part) => (
          <Tab
            key={part.id}
            id={part.id}
            className="pb-1 cursor-pointer outline-offset-4 data-[selected]:font-semibold data-[selected]:border-b-2 data-[selected]:border-accent data-[focus-visible]:outline-2 data-[focus-visible]:outline-accent"
          >
            {part.title}
          </Tab>
        ))}
      </TabList>
      {parts.map((part) => (
        <TabPanel key={part.id} id={part.id} className="outline-none">
          <Suspense fallback={<p className="text-faint">Opening …</p>}>{part.content}</Suspense>
        </TabPanel>
      ))}
    </Tabs>
  );
}

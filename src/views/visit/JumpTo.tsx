import { useMemo, useState } from 'react';
import { ComboBox, Input, Label, ListBox, ListBoxItem, Popover } from 'react-aria-components';
import { definitionOf, FINDING_IDS, type FindingId } from '@/core/findings/findings';
import { type SavedStep, STEP_NAME } from '@/core/visit/steps';

/** Findings that are listed at once; more letters narrow them. */
const LISTED = 12;
const PLACES = FINDING_IDS.flatMap((id) => {
  const { label, step } = definitionOf(id);
  return step === null ? [] : [{ id, label, step }];
});

interface Props {
  onGo: (step: SavedStep) => void;
  onClose: () => void;
}

const moment = () => new Promise((resolve) => setTimeout(resolve, 50));
const fieldOf = (id: FindingId): HTMLElement | null =>
  document.querySelector<HTMLElement>(`[data-work] [data-finding$=".${id}"] :is(input, textarea, select)`);

/** Opens the parts of a step one after the other until a finding's field is there, and puts the focus on it. */
async function reachField(id: FindingId): Promise<void> {
  await moment();
  const tabs = [...document.querySelectorAll<HTMLElement>('[data-work] [role=tablist] [role=tab]')];
  for (const tab of [null, ...tabs]) {
    tab?.focus();
    // A part that is opened for the first time is fetched.
    for (let tries = 0; tries < 40 && document.querySelector('[data-work] [data-opening]'); tries += 1)
      await moment();
    await moment();
    const field = fieldOf(id);
    if (!field) continue;
    field.focus();
    field.scrollIntoView({ block: 'nearest' });
    return;
  }
}

/** Goes to a finding by typing some of its name. */
export function JumpTo({ onGo, onClose }: Props) {
  const [words, setWords] = useState('');
  const found = useMemo(() => {
    const wanted = words.trim().toLowerCase().split(/\s+/);
    return PLACES.filter(({ label }) => wanted.every((word) => label.toLowerCase().includes(word))).slice(
      0,
      LISTED,
    );
  }, [words]);
  return (
    <div
      role="dialog"
      aria-label="Go to a finding"
      className="fixed top-16 left-1/2 -translate-x-1/2 bg-paper border-2 border-accent p-4 z-20"
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <ComboBox
        autoFocus
        // What is listed fits what was typed already.
        defaultFilter={() => true}
        menuTrigger="input"
        allowsEmptyCollection
        inputValue={words}
        onInputChange={setWords}
        selectedKey={null}
        onSelectionChange={(key) => {
          const place = PLACES.find(({ id }) => id === key);
          if (!place) return;
          onClose();
          onGo(place.step);
          void reachField(place.id);
        }}
        className="grid gap-0.5 w-96"
      >
        <Label className="text-faint">Go to a finding</Label>
        <Input placeholder="lunge, bunion, standing …" />
        <Popover className="bg-paper border border-rule max-h-80 overflow-auto min-w-96">
          <ListBox
            className="outline-none"
            renderEmptyState={() => <p className="px-2 py-1 text-faint">No finding matches.</p>}
          >
            {found.map(({ id, label, step }) => (
              <ListBoxItem
                key={id}
                id={id}
                textValue={label}
                className="px-2 py-1 cursor-pointer data-[focused]:bg-desk outline-none flex gap-3"
              >
                {label} <span className="text-faint ml-auto">{STEP_NAME[step]}</span>
              </ListBoxItem>
            ))}
          </ListBox>
        </Popover>
      </ComboBox>
    </div>
  );
}

import { useMemo, useState } from 'react';
import { ComboBox, Input, Label, ListBox, ListBoxItem, Popover } from 'react-aria-components';
import { filterModels } from '@/core/catalogue/filter';
import { modelTitle, type ShoeModel } from '@/core/catalogue/model';
import { useModels } from '../use-models';

/** Most models that are listed at once; more words narrow them. */
const LISTED = 30;
const AS_WRITTEN = 'as-written';
const OPTION = 'px-2 py-1 cursor-pointer data-[focused]:bg-desk outline-none';

interface Props {
  label: string;
  disabled: boolean;
  /** Nothing else than the catalogue’s own versions will do. */
  listedOnly?: boolean;
  /** A model of the catalogue, or what was typed where it knows none. */
  onPick: (title: string, model: ShoeModel | null) => void;
}

/** Names a model: from the catalogue by any of its words, or in the patient's own words. */
export function ModelPicker({ label, disabled, listedOnly = false, onPick }: Props) {
  const { models, problem } = useModels();
  const [words, setWords] = useState('');
  const [picked, setPicked] = useState(0);
  const typed = words.trim();
  const found = useMemo(
    () => (typed === '' ? [] : filterModels(models ?? [], { words: typed }).matching.slice(0, LISTED)),
    [models, typed],
  );
  const pick = (title: string, model: ShoeModel | null) => {
    onPick(title, model);
    setWords('');
    // A new box, so that emptying it does not open its list again.
    setPicked((count) => count + 1);
  };
  return (
    <ComboBox
      key={picked}
      autoFocus={picked > 0}
      // Any of its words names a model: the list is filtered already.
      defaultFilter={() => true}
      allowsCustomValue
      // What is pasted opens the list before its lines have come.
      allowsEmptyCollection
      isDisabled={disabled}
      inputValue={words}
      onInputChange={setWords}
      selectedKey={null}
      onSelectionChange={(key) => {
        const model = found.find(({ id }) => id === key);
        if (model) pick(modelTitle(model), model);
        else if (key === AS_WRITTEN && typed !== '') pick(typed, null);
      }}
      className="grid gap-0.5 w-96"
    >
      <Label className="text-faint">{label}</Label>
      <Input maxLength={200} placeholder="maker, name, version" />
      {problem && <span className="problem">{problem}</span>}
      <Popover className="bg-paper border border-rule max-h-72 overflow-auto min-w-80">
        <ListBox
          className="outline-none"
          renderEmptyState={() => (
            <p className="px-2 py-1 text-faint">
              {models === null ? 'Reading the catalogue …' : 'No model in the catalogue matches.'}
            </p>
          )}
        >
          {found.map((model) => (
            <ListBoxItem key={model.id} id={model.id} textValue={modelTitle(model)} className={OPTION}>
              {modelTitle(model)}
              {model.status === 'discontinued' && <span className="text-faint"> no longer made</span>}
            </ListBoxItem>
          ))}
          {typed !== '' && !listedOnly && (
            <ListBoxItem id={AS_WRITTEN} textValue={typed} className={`${OPTION} italic`}>
              {models === null ? 'reading the catalogue … take' : 'take'} “{typed}” as written
            </ListBoxItem>
          )}
        </ListBox>
      </Popover>
    </ComboBox>
  );
}

import { useMemo, useState } from 'react';
import { ComboBox, Input, Label, ListBox, ListBoxItem, Popover } from 'react-aria-components';
import { filterModels } from '@/core/catalogue/filter';
import { modelTitle, type ShoeModel } from '@/core/catalogue/model';
import { useModels } from './use-models';

/** Most models that are listed at once; more words narrow them. */
const LISTED = 30;

interface Props {
  label: string;
  disabled: boolean;
  /** A model of the catalogue, or what was typed where it knows none. */
  onPick: (title: string, model: ShoeModel | null) => void;
}

/** Names a model: from the catalogue by any of its words, or in the patient's own words. */
export function ModelPicker({ label, disabled, onPick }: Props) {
  const { models, problem } = useModels();
  const [words, setWords] = useState('');
  const found = useMemo(
    () => (words.trim() === '' ? [] : filterModels(models ?? [], { words }).matching.slice(0, LISTED)),
    [models, words],
  );
  const pick = (title: string, model: ShoeModel | null) => {
    if (title.trim() === '') return;
    onPick(title.trim(), model);
    setWords('');
  };
  return (
    <ComboBox
      allowsCustomValue
      isDisabled={disabled}
      inputValue={words}
      onInputChange={setWords}
      items={found}
      selectedKey={null}
      onSelectionChange={(key) => {
        const model = found.find(({ id }) => id === key);
        if (model) pick(modelTitle(model), model);
      }}
      className="grid gap-0.5 w-96"
    >
      <Label className="text-faint">{label}</Label>
      <span className="flex gap-2">
        <Input className="grow" maxLength={200} placeholder="maker, name, version" />
        {words.trim() !== '' && found.length === 0 && (
          <button type="button" className="press" onClick={() => pick(words, null)}>
            Take as written
          </button>
        )}
      </span>
      {problem && <span className="problem">{problem}</span>}
      <Popover className="bg-paper border border-rule max-h-72 overflow-auto min-w-80">
        <ListBox<ShoeModel> className="outline-none">
          {(model) => (
            <ListBoxItem
              id={model.id}
              textValue={modelTitle(model)}
              className="px-2 py-1 cursor-pointer data-[focused]:bg-desk outline-none"
            >
              {modelTitle(model)}
              {model.status === 'discontinued' && <span className="text-faint"> no longer made</span>}
            </ListBoxItem>
          )}
        </ListBox>
      </Popover>
    </ComboBox>
  );
}

import { SIDES } from '@/core/findings/finding-kinds';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { type FittingConditions, INSERTS, MEASURED, SOCKS } from '@/core/sizing/size-wish';
import { mapTable } from '@/core/tables/keys-of';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { Select } from '@/ui/fields/Select';
import { useExamined } from '../../visit-context';

const SOCK_LABELS = mapTable(SOCKS, ({ label }) => label);
const INSERT_LABELS = mapTable(INSERTS, ({ label }) => label);

/** Under what the size is looked for, and the patient's own limit. */
export function Conditions() {
  const { store, readOnly, state, picture } = useExamined();
  const content = store.content('candidates');
  const conditions: FittingConditions = content.conditions ?? {};
  const { typed } = state.steps.candidates;
  const save = (part: Partial<typeof content>, text: Record<string, string> = typed) => {
    if (readOnly) return;
    store.change('candidates', omitUndefined<typeof content>({ ...content, ...part }), text);
  };
  const pick = <N extends keyof FittingConditions, O extends NonNullable<FittingConditions[N]>>(
    name: N,
    label: string,
    options: Readonly<Record<O, string>>,
    chosen: O,
  ) => (
    <Select<O>
      label={label}
      options={options}
      value={chosen}
      onChange={(value) => save({ conditions: { ...conditions, [name]: value } })}
    />
  );
  const worn = SIDES.some((side) => {
    const { insert } = picture[side];
    return insert !== NOT_EXAMINED && insert !== 'none';
  });
  const price = typed.mostPrice ?? (content.mostPrice === undefined ? '' : String(content.mostPrice));
  const budget = (text: string) => {
    const { mostPrice: _, ...rest } = typed;
    const amount = Number(text.trim().replace(',', '.'));
    if (text.trim() === '') save({ mostPrice: undefined }, rest);
    else if (Number.isFinite(amount) && amount >= 0 && amount <= 100_000) save({ mostPrice: amount }, rest);
    else save({ mostPrice: undefined }, { ...rest, mostPrice: text });
  };
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1 items-end">
      {pick('sock', 'Sock', SOCK_LABELS, conditions.sock ?? 'thin')}
      {pick('insert', 'Insert that goes in', INSERT_LABELS, conditions.insert ?? 'none')}
      {pick('measured', 'Feet measured', MEASURED, conditions.measured ?? 'late')}
      <label>
        <span className="block text-faint">Budget at most</span>
        <input
          className="figure w-20 text-right"
          inputMode="decimal"
          value={price}
          aria-invalid={typed.mostPrice !== undefined || undefined}
          onChange={({ target }) => budget(target.value)}
        />
        {typed.mostPrice !== undefined && <span className="problem block">Write an amount.</span>}
      </label>
      <label className="pb-1.5">
        <input
          type="checkbox"
          checked={content.inStockOnly ?? false}
          onChange={({ target }) => save({ inStockOnly: target.checked || undefined })}
        />{' '}
        only what is on the shelf
      </label>
      {worn && conditions.insert === undefined && (
        <p role="status" className="text-hold text-sm pb-1.5">
          An insert is worn: say which goes in.
        </p>
      )}
    </div>
  );
}

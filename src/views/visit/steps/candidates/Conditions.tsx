import { NOT_EXAMINED } from '@/core/picture/clinical-picture';
import { SIDES } from '@/core/picture/finding-kinds';
import { type FittingConditions, INSERTS, MEASURED, SOCKS } from '@/core/sizing/size-wish';
import { useVisit } from '../../visit-context';

const labels = <K extends string>(table: Record<K, { label: string }>): Record<K, string> =>
  Object.fromEntries(
    Object.entries<{ label: string }>(table).map(([id, { label }]) => [id, label]),
  ) as Record<K, string>;

/** Under what the size is looked for, and the patient's own limit. */
export function Conditions() {
  const { store, readOnly, state, picture } = useVisit();
  const content = store.content('candidates');
  const conditions: FittingConditions = content.conditions ?? {};
  const { typed } = state.steps.candidates;
  const save = (part: Partial<typeof content>, text: Record<string, string> = typed) => {
    if (readOnly) return;
    const next = Object.entries({ ...content, ...part }).filter(([, value]) => value !== undefined);
    store.change('candidates', Object.fromEntries(next), text);
  };
  const pick = (
    name: keyof FittingConditions,
    label: string,
    options: Record<string, string>,
    usual: string,
  ) => (
    <label>
      <span className="block text-faint">{label}</span>
      <select
        value={conditions[name] ?? usual}
        onChange={({ target }) => save({ conditions: { ...conditions, [name]: target.value } })}
      >
        {Object.entries(options).map(([id, text]) => (
          <option key={id} value={id}>
            {text}
          </option>
        ))}
      </select>
    </label>
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
      {pick('sock', 'Sock', labels(SOCKS), 'thin')}
      {pick('insert', 'Insert that goes in', labels(INSERTS), 'none')}
      {pick('measured', 'Feet measured', MEASURED, 'late')}
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

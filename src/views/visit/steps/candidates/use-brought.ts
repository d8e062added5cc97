import { useExamined } from '../../visit-context';

/** Most pairs that are brought at once. */
const MOST_BROUGHT = 3;

/** The pairs to bring: read from the step and written to it. */
export function useBrought() {
  const { store, readOnly } = useExamined();
  const content = store.content('candidates');
  const chosen = content.chosen ?? [];
  const choose = (ids: readonly string[]) => {
    if (!readOnly) store.change('candidates', { ...content, chosen: [...ids] });
  };
  const toggle = (id: string) =>
    choose(
      chosen.includes(id) ? chosen.filter((entry) => entry !== id) : [...chosen, id].slice(-MOST_BROUGHT),
    );
  return { chosen, choose, toggle };
}

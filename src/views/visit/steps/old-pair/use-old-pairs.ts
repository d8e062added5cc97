import { omitUndefined } from '@/core/tables/omit-undefined';
import { mainPair, type OldPair } from '@/core/wear/old-pair';
import { useStepContent } from '../../use-findings';
import { useExamined, useHeld } from '../../visit-context';

export type Part = { [K in keyof OldPair]?: OldPair[K] | undefined };

/** The pairs that were brought, one of them under the hands: what it is, how it was used, what it shows, and both answers. */
export function useOldPairs() {
  const { readOnly } = useExamined();
  const { content, change } = useStepContent('old-pair');
  const pairs: readonly OldPair[] = content.pairs ?? [];
  // The pair under the hands is the same under “Soles”.
  const [picked, pick] = useHeld<string | null>('old-pair', null);
  const pair = pairs.find(({ id }) => id === picked) ?? mainPair(pairs);
  const keep = (next: readonly OldPair[]) =>
    change({ pairs: next.length > 0 ? next.map((entry) => omitUndefined<OldPair>(entry)) : undefined });
  return {
    readOnly,
    pairs,
    pair,
    pick,
    add: (added: OldPair) => {
      keep([...pairs, added]);
      pick(added.id);
    },
    put: (id: string, part: Part) =>
      keep(pairs.map((entry) => (entry.id === id ? omitUndefined<OldPair>({ ...entry, ...part }) : entry))),
    /** One pair did most of the miles. */
    setMain: (id: string) => keep(pairs.map((entry) => ({ ...entry, isMain: entry.id === id || undefined }))),
    remove: (id: string) => keep(pairs.filter((entry) => entry.id !== id)),
  };
}

export type Brought = ReturnType<typeof useOldPairs>;

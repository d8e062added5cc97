/** Models that are left out for one reason, by title. */
export interface LeftOutTogether {
  because: string;
  titles: string[];
}

/** Models by why they are left out, the commonest reason first; reasons as often as each other stand as they were met. */
export function leftOutTogether(models: readonly { title: string; because: string }[]): LeftOutTogether[] {
  const groups = new Map<string, string[]>();
  for (const { title, because } of models) groups.set(because, [...(groups.get(because) ?? []), title]);
  return [...groups]
    .map(([because, titles]) => ({ because, titles }))
    .sort((a, b) => b.titles.length - a.titles.length);
}

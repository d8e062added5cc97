import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { SiteRecord } from '@/contract/people-schema';
import { Select } from '@/ui/fields/Select';

/** At which site one works: visits begun from now on are there, and Today shows it first. */
export function MySite({ sites, mine }: { sites: readonly SiteRecord[]; mine: string | null }) {
  const [site, setSite] = useState(mine);
  const [said, setSaid] = useState('');
  const choose = async (next: string | null) => {
    const before = site;
    setSite(next);
    const answer = await call('chooseSite', { body: { site: next } });
    if (!answer.ok) setSite(before);
    setSaid(answer.ok ? 'Saved. Visits you begin from now on belong to this site.' : failureInWords(answer));
  };
  const options = Object.fromEntries(
    sites.filter(({ closed }) => !closed).map(({ id, name, place }) => [id, `${name}, ${place}`]),
  );
  return (
    <div className="flex gap-3 items-baseline">
      <Select
        label="You work at"
        options={options}
        value={site ?? undefined}
        none="no site in particular"
        onChange={(next) => void choose(next ?? null)}
      />
      <span role="status" className="text-faint">
        {said}
      </span>
    </div>
  );
}

import { useId, useState } from 'react';
import { HOUSE_TOPIC, type HouseChange } from '@/core/knowledge/house-rules';
import { RULES } from '@/core/knowledge/knowledge-base';
import type { EvidenceGrade, School, Strength } from '@/core/knowledge/rule';
import { houseChangeSchema } from '@/core/prescribe/check/house-rules-schema';
import { SOURCES } from '@/core/sources/sources';
import { keysOf } from '@/core/tables/keys-of';
import { Select } from '@/ui/fields/Select';
import { DemandRow, STRENGTHS, WishRow } from './OwnRuleRows';
import { asCondition, asWish, type DemandDraft, emptyDemand, emptyWish, type WishDraft } from './own-rule';

const SCHOOL_NAMES: Record<School, string> = { shape: 'shape-led', comfort: 'comfort-led', load: 'load-led' };

/** `Works on wet decks` → `house-works-on-wet-decks`. */
const nameOf = (finding: string): string =>
  `house-${
    finding
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 50) || 'rule'
  }`;

/** A rule of the clinic's own, with the same fields as those that ship; checked in the same way before it goes into the draft. */
export function OwnRuleForm({ onDone }: { onDone: (change: HouseChange | null) => void }) {
  const [finding, setFinding] = useState('');
  const [join, setJoin] = useState<'all' | 'any'>('all');
  const [demands, setDemands] = useState<readonly DemandDraft[]>([emptyDemand()]);
  const [wishes, setWishes] = useState<readonly WishDraft[]>([emptyWish()]);
  const [strength, setStrength] = useState<Strength>('moderate');
  const [schools, setSchools] = useState<readonly School[]>([]);
  const [evidence, setEvidence] = useState<EvidenceGrade>('C');
  const [source, setSource] = useState('house');
  const [because, setBecause] = useState('');
  const [caution, setCaution] = useState('');
  const [contestedBy, setContestedBy] = useState<readonly string[]>([]);
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const id = useId();

  const submit = () => {
    const read = houseChangeSchema.safeParse({
      kind: 'own',
      reason: reason.trim(),
      rule: {
        id: nameOf(finding),
        topic: HOUSE_TOPIC,
        finding: finding.trim(),
        when: { [join]: demands.map(asCondition) },
        wishes: wishes.map(asWish),
        strength,
        schools,
        evidence,
        sources: [source],
        because: because.trim(),
        ...(caution.trim() ? { caution: caution.trim() } : {}),
        ...(contestedBy.length > 0 ? { contestedBy } : {}),
      },
    });
    if (read.success) return onDone(read.data);
    setProblems(
      Object.fromEntries(
        read.error.issues.map((issue) => [String(issue.path[1] ?? issue.path[0]), issue.message]),
      ),
    );
  };
  const row = <T,>(list: readonly T[], put: (list: readonly T[]) => void, at: number) => ({
    onChange: (entry: T) => put(list.map((other, index) => (index === at ? entry : other))),
    onRemove: list.length > 1 ? () => put(list.filter((_, index) => index !== at)) : null,
  });
  /** What is wrong with one field, said at it. */
  const problem = (field: string) =>
    problems[field] && (
      <span id={`${id}-${field}`} className="problem block text-sm">
        {problems[field]}
      </span>
    );
  const text = (
    field: string,
    label: string,
    value: string,
    put: (value: string) => void,
    rest: { maxLength: number },
  ) => (
    <label className="block">
      <span className="block text-faint text-xs">{label}</span>
      <input
        className="w-full"
        value={value}
        aria-invalid={problems[field] ? true : undefined}
        aria-describedby={problems[field] ? `${id}-${field}` : undefined}
        onChange={(event) => put(event.target.value)}
        {...rest}
      />
      {problem(field)}
    </label>
  );
  return (
    <form
      aria-label="A rule of our own"
      className="border-l-4 border-accent pl-4 grid gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      {text('finding', 'Finding, in words', finding, setFinding, { maxLength: 160 })}
      <fieldset className="grid gap-1">
        <legend className="text-faint text-xs">
          When{' '}
          <select
            aria-label="How the findings are joined"
            value={join}
            onChange={(event) => setJoin(event.target.value as 'all' | 'any')}
          >
            <option value="all">all of these hold</option>
            <option value="any">any of these holds</option>
          </select>
        </legend>
        {demands.map((demand, at) => (
          <DemandRow key={demand.key} demand={demand} {...row(demands, setDemands, at)} />
        ))}
        <p>
          <button
            type="button"
            className="press press-quiet"
            onClick={() => setDemands([...demands, emptyDemand()])}
          >
            And another finding
          </button>
        </p>
        {problem('when')}
      </fieldset>
      <fieldset className="grid gap-1">
        <legend className="text-faint text-xs">Wishes</legend>
        {wishes.map((wish, at) => (
          <WishRow key={wish.key} wish={wish} {...row(wishes, setWishes, at)} />
        ))}
        <p>
          <button
            type="button"
            className="press press-quiet"
            onClick={() => setWishes([...wishes, emptyWish()])}
          >
            And another feature
          </button>
        </p>
        {problem('wishes')}
      </fieldset>
      <div className="flex flex-wrap gap-4 items-end">
        <Select
          label="Strength"
          options={STRENGTHS}
          value={strength}
          onChange={(next) => next && setStrength(next)}
        />
        <Select
          label="Evidence"
          options={{ A: 'A', B: 'B', C: 'C' }}
          value={evidence}
          onChange={(next) => next && setEvidence(next)}
        />
        <label>
          <span className="block text-faint text-xs">Source</span>
          <select className="w-52" value={source} onChange={(event) => setSource(event.target.value)}>
            {Object.entries(SOURCES).map(([id, { cite }]) => (
              <option key={id} value={id}>
                {cite}
              </option>
            ))}
          </select>
        </label>
        <fieldset className="flex gap-3">
          <legend className="text-faint text-xs">Schools (none: every school)</legend>
          {keysOf(SCHOOL_NAMES).map((school) => (
            <label key={school} className="flex gap-1 items-center">
              <input
                type="checkbox"
                checked={schools.includes(school)}
                onChange={() =>
                  setSchools(
                    schools.includes(school)
                      ? schools.filter((other) => other !== school)
                      : [...schools, school],
                  )
                }
              />
              {SCHOOL_NAMES[school]}
            </label>
          ))}
        </fieldset>
      </div>
      {text('because', 'Because, in one sentence', because, setBecause, { maxLength: 400 })}
      {text('caution', 'Caution, where there is one', caution, setCaution, { maxLength: 300 })}
      <label>
        <span className="block text-faint text-xs">Contested by</span>
        <select
          value=""
          onChange={(event) => setContestedBy([...new Set([...contestedBy, event.target.value])])}
        >
          <option value="">choose a rule that says otherwise</option>
          {RULES.map((rule) => (
            <option key={rule.id} value={rule.id}>
              {rule.finding} ({rule.id})
            </option>
          ))}
        </select>
        {contestedBy.length > 0 && <span className="text-sm"> {contestedBy.join(', ')}</span>}
      </label>
      {text('reason', 'Reason for this departure (kept with the version)', reason, setReason, {
        maxLength: 600,
      })}
      {Object.keys(problems).length > 0 && (
        <p role="alert" className="problem">
          {problems.rule ?? 'Some fields above need another look.'}
        </p>
      )}
      <p className="flex gap-3">
        <button type="submit" className="press press-main">
          Into the draft
        </button>
        <button type="button" className="press" onClick={() => onDone(null)}>
          Leave it
        </button>
      </p>
    </form>
  );
}

import { useState } from 'react';
import type { HouseChange } from '@/core/knowledge/house-rules';
import type { Rule, Strength } from '@/core/knowledge/rule';

const STRENGTHS: readonly Strength[] = ['limit', 'strong', 'moderate', 'slight'];

/** A departure from one shipped rule: off, or at another strength, with the reason; it goes into the draft. */
export function ChangeRule({ rule, onChange }: { rule: Rule; onChange: (change: HouseChange) => void }) {
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState<'off' | Strength>('off');
  const [reason, setReason] = useState('');
  if (!open)
    return (
      <button type="button" className="press press-quiet" onClick={() => setOpen(true)}>
        Change here …
      </button>
    );
  return (
    <form
      className="grid gap-1"
      aria-label={`Change ${rule.finding}`}
      onSubmit={(event) => {
        event.preventDefault();
        const rest = { rule: rule.id, reason: reason.trim() };
        onChange(to === 'off' ? { kind: 'off', ...rest } : { kind: 'strength', strength: to, ...rest });
      }}
    >
      <label>
        <span className="block text-faint text-xs">In this clinic</span>
        <select value={to} onChange={(event) => setTo(event.target.value as 'off' | Strength)}>
          <option value="off">switched off</option>
          {STRENGTHS.filter(
            (strength) => strength !== rule.strength && (strength !== 'limit' || rule.schools.length === 0),
          ).map((strength) => (
            <option key={strength} value={strength}>
              {strength}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="block text-faint text-xs">Reason</span>
        <input
          className="w-full"
          required
          minLength={3}
          maxLength={600}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      {rule.strength === 'limit' && (
        <p className="text-hold text-xs">This is a limit: it protects. Weigh it well.</p>
      )}
      <button type="submit" className="press">
        Into the draft
      </button>
    </form>
  );
}

import { SIGN_STRENGTHS, SIGNS, type SignId, type SignStrengths as Strengths } from '@/core/signs/signs';
import { keysOf } from '@/core/tables/keys-of';
import { speaksForSpent } from '@/core/wear/verdict';
import { Select } from '@/ui/fields/Select';

const OPTIONS: Readonly<Record<string, string>> = SIGN_STRENGTHS;
const sizeOf = (factor: number): string =>
  factor >= 1 ? `× ${factor < 10 ? factor.toFixed(1) : Math.round(factor)}` : `÷ ${(1 / factor).toFixed(1)}`;

/** What each sign of a worn pair is worth: how much likelier it makes that the pair is spent, as the clinic takes it. */
export function SignStrengths({
  strengths,
  onChange,
}: {
  strengths: Strengths | undefined;
  onChange: (strengths: Strengths | undefined) => void;
}) {
  const put = (sign: SignId, strength: number) => {
    const { [sign]: _, ...rest } = strengths ?? {};
    const next = strength === 1 ? rest : { ...rest, [sign]: strength };
    onChange(Object.keys(next).length > 0 ? next : undefined);
  };
  return (
    <details>
      <summary className="cursor-pointer">What signs of wear are worth</summary>
      <p className="text-faint text-sm">
        Which way each speaks is common practice; how strongly is ours. Odds that the pair is spent, by what
        is seen.
      </p>
      <ul className="grid gap-1.5">
        {keysOf(SIGNS).map((sign) => (
          <li key={sign} className="grid grid-cols-[1fr_9rem] gap-3 items-center">
            <span>
              {SIGNS[sign].label}
              <span className="block text-faint text-xs">
                {Object.entries(SIGNS[sign].options)
                  .map(([value, label]) => `${label} ${sizeOf(speaksForSpent(sign, value, strengths))}`)
                  .join('; ')}
              </span>
            </span>
            <Select<string>
              label={`How strongly: ${SIGNS[sign].label}`}
              quiet
              options={OPTIONS}
              value={String(strengths?.[sign] ?? 1)}
              onChange={(chosen) => chosen !== undefined && put(sign, Number(chosen))}
            />
          </li>
        ))}
      </ul>
    </details>
  );
}

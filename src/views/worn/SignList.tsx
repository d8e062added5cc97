import { SIGNS, type SignAnswers, type SignId } from '@/core/signs/signs';
import { keysOf } from '@/core/tables/keys-of';
import { Choice } from '@/ui/fields/Choice';

/** Nine signs by tap; how each is looked at stands beside it. Without one left it is undefined. */
export function SignList({
  signs,
  onChange,
}: {
  signs: SignAnswers;
  onChange: (signs: SignAnswers | undefined) => void;
}) {
  const put = (sign: SignId, value: string | undefined) => {
    const { [sign]: _, ...rest } = signs;
    const next = value === undefined ? rest : { ...rest, [sign]: value };
    onChange(Object.keys(next).length > 0 ? next : undefined);
  };
  return (
    <div className="grid grid-cols-[12.5rem_1fr] gap-x-3 gap-y-1 items-center content-start">
      {keysOf(SIGNS).map((sign) => (
        <div key={sign} className="contents" data-sign={sign}>
          <span className="leading-tight" title={SIGNS[sign].how}>
            {SIGNS[sign].label}
          </span>
          <Choice<string>
            quiet
            label={SIGNS[sign].label}
            options={SIGNS[sign].options}
            value={signs[sign]}
            onChange={(value) => put(sign, value)}
          />
        </div>
      ))}
    </div>
  );
}

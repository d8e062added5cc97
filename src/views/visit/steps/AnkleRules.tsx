import { markInWords } from '@/core/examination/sources';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import {
  ANKLE_QUESTIONS,
  ANKLE_RULES_DO_NOT_FIT,
  type AnkleAnswers,
  type AnkleQuestion,
  type AnkleVerdict,
  ankleInjuryRules,
} from '@/core/safety/ankle-injury-rules';
import { keysOf } from '@/core/tables/keys-of';
import { Choice } from '@/ui/fields/Choice';

const VERDICT: Record<AnkleVerdict, string> = {
  'x-ray': 'X-ray by the rule',
  'not-by-the-rule': 'no X-ray by the rule',
  unknown: 'not decided yet',
};

interface Props {
  answers: Partial<Record<Side, AnkleAnswers>>;
  onChange: (answers: Partial<Record<Side, AnkleAnswers>>) => void;
}

/** The ankle-injury rules step by step, for either side; what is missing leaves them undecided. */
export function AnkleRules({ answers, onChange }: Props) {
  const put = (side: Side, question: AnkleQuestion, value: string | undefined) => {
    const { [question]: _, ...rest } = answers[side] ?? {};
    const next: AnkleAnswers = value === undefined ? rest : { ...rest, [question]: value as 'yes' | 'no' };
    onChange({ ...answers, [side]: next });
  };
  return (
    <div className="grid gap-2 border-l-2 border-rule pl-4 my-1">
      <div className="grid grid-cols-[1fr_auto_auto] gap-x-5 gap-y-1 items-center">
        <span />
        {SIDES.map((side) => (
          <strong key={side} className="capitalize">
            {side}
          </strong>
        ))}
        {keysOf(ANKLE_QUESTIONS).map((question) => (
          <div key={question} className="contents">
            <span>{ANKLE_QUESTIONS[question]}</span>
            {SIDES.map((side) => (
              <Choice
                key={side}
                quiet
                label={`${ANKLE_QUESTIONS[question]}, ${side}`}
                options={{ no: 'no', yes: 'yes' }}
                value={answers[side]?.[question]}
                onChange={(value) => put(side, question, value)}
              />
            ))}
          </div>
        ))}
      </div>
      <div role="status">
        <ul>
          {SIDES.filter((side) => Object.keys(answers[side] ?? {}).length > 0).map((side) => {
            const { ankle, foot, missing } = ankleInjuryRules(answers[side] ?? {});
            return (
              <li key={side}>
                <span className="capitalize">{side}</span>: ankle{' '}
                <strong className={ankle === 'x-ray' ? 'text-warn' : ''}>{VERDICT[ankle]}</strong>, foot{' '}
                <strong className={foot === 'x-ray' ? 'text-warn' : ''}>{VERDICT[foot]}</strong>
                {missing.length > 0 && (
                  <span className="text-faint">
                    {' '}
                    (open: {missing.map((question) => ANKLE_QUESTIONS[question].toLowerCase()).join('; ')})
                  </span>
                )}
              </li>
            );
          })}
        </ul>
      </div>
      <p className="text-faint text-xs">
        {ANKLE_RULES_DO_NOT_FIT} {markInWords('stiell-1992')}.
      </p>
    </div>
  );
}

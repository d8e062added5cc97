import { gradeOf } from '@/core/texts/readability';

/** A sentence alone may read two grades above the page; whole sentences only. Ours. */
const MOST_GRADE = 9;
const isSentence = (text: string): boolean => /[.!?:]$/.test(text);

interface Props {
  id: string;
  language: string;
  direction: 'ltr' | 'rtl';
  standard: string;
  value: string;
  problem: string | null;
  onChange: (text: string) => void;
}

/** One sentence: the standard, and the clinic's own in its place. */
export function TextRow({ id, language, direction, standard, value, problem, onChange }: Props) {
  const plain = value.replace(/\{\{\s*\w+\s*\}\}/g, '2');
  const grade = isSentence(plain) ? gradeOf(language, plain) : null;
  const isHard = grade !== null && grade > MOST_GRADE;
  return (
    <label className="grid grid-cols-2 gap-4 border-b border-line py-1 items-start">
      <span>
        {standard}
        {id.endsWith('_child') && <span className="text-faint text-sm"> (for a parent)</span>}
      </span>
      <span>
        <textarea
          aria-label={`Own words for: ${standard}${id.endsWith('_child') ? ', for a parent' : ''}`}
          rows={value.length > 70 ? 2 : 1}
          className="w-full"
          dir={direction}
          lang={language}
          placeholder="as it stands"
          value={value}
          aria-invalid={problem ? true : undefined}
          onChange={({ target }) => onChange(target.value)}
        />
        {problem && <span className="problem block">{problem}</span>}
        {isHard && (
          <span className="text-hold block">
            Reads at grade {Math.round(grade)}: shorter words and sentences help.
          </span>
        )}
      </span>
    </label>
  );
}

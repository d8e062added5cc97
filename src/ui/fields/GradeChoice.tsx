import { Choice } from './Choice';

interface Props {
  label: string;
  /** What stands for 1, 2, 3 … */
  anchors: readonly string[];
  value: number | undefined;
  onChange: (grade: number | undefined) => void;
}

/** One of a few grades, each by its own words. */
export function GradeChoice({ label, anchors, value, onChange }: Props) {
  // A text before each number keeps the order: keys that are numbers alone would be sorted.
  const grades = new Map(anchors.map((_, at) => [`grade ${at + 1}`, at + 1] as const));
  return (
    <Choice
      label={label}
      options={Object.fromEntries(anchors.map((anchor, at) => [`grade ${at + 1}`, anchor]))}
      value={value === undefined ? undefined : `grade ${Math.round(value)}`}
      onChange={(key) => onChange(key === undefined ? undefined : grades.get(key))}
    />
  );
}

import { type ReactNode, useId } from 'react';

/** What ties a control to its label and to what is wrong with it. */
export interface ControlProps {
  id: string;
  'aria-invalid': true | undefined;
  'aria-describedby': string | undefined;
}

interface Props {
  label: string;
  hint?: string | undefined;
  error?: string | undefined;
  /** The label is spoken, not shown, where the place says what it is. */
  quiet?: boolean;
  /** As wide as its control, within a line. */
  inline?: boolean;
  className?: string;
  children: (control: ControlProps) => ReactNode;
}

/** A labelled control with what is wrong with it under it. Every form field of the application is one. */
export function Field({
  label,
  hint,
  error,
  quiet = false,
  inline = false,
  className = '',
  children,
}: Props) {
  const id = useId();
  const Frame = inline ? 'span' : 'div';
  return (
    <Frame className={`${inline ? 'inline-grid' : 'grid'} gap-0.5 content-start min-w-0 ${className}`}>
      <label htmlFor={id} className={quiet ? 'sr-only' : 'text-faint'}>
        {label}
        {hint && <span className="text-xs"> {hint}</span>}
      </label>
      {children({
        id,
        'aria-invalid': error ? true : undefined,
        'aria-describedby': error ? `${id}-error` : undefined,
      })}
      {error && (
        <span id={`${id}-error`} className="problem block">
          {error}
        </span>
      )}
    </Frame>
  );
}

/** What went wrong with a form as a whole. */
export function FormProblem({ message }: { message: string | undefined }) {
  return message ? (
    <p role="alert" className="problem">
      {message}
    </p>
  ) : null;
}

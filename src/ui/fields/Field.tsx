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
  className?: string;
  children: (control: ControlProps) => ReactNode;
}

/** A labelled control with what is wrong with it under it. Every form field of the application is one. */
export function Field({ label, hint, error, className = '', children }: Props) {
  const id = useId();
  return (
    <div className={`grid gap-0.5 content-start min-w-0 ${className}`}>
      <label htmlFor={id} className="text-faint">
        {label}
        {hint && <span className="text-xs"> {hint}</span>}
      </label>
      {children({
        id,
        'aria-invalid': error ? true : undefined,
        'aria-describedby': error ? `${id}-error` : undefined,
      })}
      {error && (
        <p id={`${id}-error`} className="problem">
          {error}
        </p>
      )}
    </div>
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

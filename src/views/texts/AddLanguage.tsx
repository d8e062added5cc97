import { useState } from 'react';
import type { Result } from '@/core/result/result';

/** Opens a language that is not here yet, by its tag. */
export function AddLanguage({ open }: { open: (typed: string) => Result<string> }) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  return (
    <form
      noValidate
      className="flex gap-2 items-end"
      onSubmit={(event) => {
        event.preventDefault();
        const read = open(typed);
        if (read.ok) location.assign(`/texts?language=${encodeURIComponent(read.value)}`);
        else setProblem(read.problem.message);
      }}
    >
      <label>
        <span className="block text-faint">Another language</span>
        <input
          className="w-28"
          placeholder="fr, pt-BR, ar"
          maxLength={35}
          value={typed}
          aria-invalid={problem ? true : undefined}
          onChange={({ target }) => setTyped(target.value)}
        />
      </label>
      <button type="submit" className="press" disabled={typed.trim() === ''}>
        Add
      </button>
      {problem && (
        <span role="alert" className="problem">
          {problem}
        </span>
      )}
    </form>
  );
}

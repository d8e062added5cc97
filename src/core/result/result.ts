/** What went wrong with one value: a stable code, the path of the value and a sentence a person can act on. */
export interface Problem {
  code: string;
  path: (string | number)[];
  message: string;
  /** A value that the person may have meant, ready to be put in place with one press. */
  suggestion?: string;
}

/** A computation that can fail says so in its type; nothing in the core throws for bad input. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: Problem };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (code: string, message: string, suggestion?: string): Result<never> => ({
  ok: false,
  problem: suggestion === undefined ? { code, path: [], message } : { code, path: [], message, suggestion },
});

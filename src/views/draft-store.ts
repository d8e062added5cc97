const PREFIX = 'sovet:';

/** Whose drafts these are: the page says who is signed in. Nobody's are kept under an empty name. */
const owner = (): string => document.documentElement.dataset.person ?? '';

const full = (key: string): string => `${PREFIX}${owner()}:${key}`;

/** Keys of everything that is kept here for whoever is signed in. */
function ownKeys(): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(full('')));
  } catch {
    return [];
  }
}

/**
 * What this browser keeps until the server has it, apart for each person: a colleague at the same machine never sees it. One
 * place for all drafts: a browser that refuses storage, or holds something that cannot be read, only loses this safety net.
 */
export const draftStore = {
  read(key: string): unknown {
    try {
      const text = localStorage.getItem(full(key));
      return text === null ? null : JSON.parse(text);
    } catch {
      return null;
    }
  },
  keep(key: string, draft: unknown): void {
    try {
      localStorage.setItem(full(key), JSON.stringify(draft));
    } catch {
      // Storage full or forbidden: the page still holds it.
    }
  },
  drop(key: string): void {
    try {
      localStorage.removeItem(full(key));
    } catch {
      // Nothing to drop.
    }
  },
  /** How much of this person’s work the server does not have yet. */
  count: (): number => ownKeys().length,
  /** Forgets everything of this person, as at sign-out. */
  dropAll(): void {
    for (const key of ownKeys()) localStorage.removeItem(key);
  },
};

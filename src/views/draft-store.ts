/**
 * What this browser keeps until the server has it. One place for all drafts: a browser that refuses storage, or holds
 * something that cannot be read, only loses this safety net.
 */
export const draftStore = {
  read(key: string): unknown {
    try {
      const text = localStorage.getItem(key);
      return text === null ? null : JSON.parse(text);
    } catch {
      return null;
    }
  },
  keep(key: string, draft: unknown): void {
    try {
      localStorage.setItem(key, JSON.stringify(draft));
    } catch {
      // Storage full or forbidden: the page still holds it.
    }
  },
  drop(key: string): void {
    try {
      localStorage.removeItem(key);
    } catch {
      // Nothing to drop.
    }
  },
};

export function freePort(wanted?: number, host?: string): Promise<number>;
/** Folder of PostgreSQL's programs. */
export function ensurePrograms(): string;
export function startPostgres(
  folder: string,
  database?: string,
  wantedPort?: number,
  settings?: Record<string, string | number>,
): Promise<{ url: string; stop: () => Promise<void> }>;
/** A streaming replica of the server at an owner's address. */
export function startReplica(
  folder: string,
  of: string,
): Promise<{ place: string; stop: () => Promise<void> }>;

export function freePort(wanted?: number, host?: string): Promise<number>;
/** Folder of PostgreSQL's programs. */
export function ensurePrograms(): string;
export function startPostgres(
  folder: string,
  database?: string,
  wantedPort?: number,
): Promise<{ url: string; stop: () => Promise<void> }>;

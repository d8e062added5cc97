export function freePort(wanted?: number, host?: string): Promise<number>;
export function startPostgres(
  folder: string,
  database?: string,
): Promise<{ url: string; stop: () => Promise<void> }>;

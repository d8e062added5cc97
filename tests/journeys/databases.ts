import pg from 'pg';

/** The address of another database on the same server. */
export function beside(databaseUrl: string, suffix: string): string {
  const url = new URL(databaseUrl);
  url.pathname += `_${suffix}`;
  return url.toString();
}

const nameIn = (url: string) => pg.escapeIdentifier(new URL(url).pathname.slice(1));

async function onServer(databaseUrl: string, statement: string): Promise<void> {
  const admin = new URL(databaseUrl);
  admin.pathname = '/postgres';
  const client = new pg.Client({ connectionString: admin.toString() });
  await client.connect();
  try {
    await client.query(statement);
  } finally {
    await client.end();
  }
}

/** Copies a database that nobody is connected to. */
export const copyDatabase = (from: string, to: string): Promise<void> =>
  onServer(from, `create database ${nameIn(to)} template ${nameIn(from)}`);

export const dropDatabase = (url: string): Promise<void> =>
  onServer(url, `drop database ${nameIn(url)} with (force)`);

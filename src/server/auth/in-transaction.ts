import type { PoolClient } from 'pg';
import { authDatabase } from '../database/connection';

/** Work of the sign-in role that holds as a whole or not at all. */
export async function inTransaction<T>(work: (client: PoolClient) => Promise<T>): Promise<T> {
  const client = await authDatabase().connect();
  try {
    await client.query('begin');
    const done = await work(client);
    await client.query('commit');
    return done;
  } catch (error) {
    await client.query('rollback');
    throw error;
  } finally {
    client.release();
  }
}

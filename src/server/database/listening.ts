import pg from 'pg';
import { log } from '../http/log';

/** How often a connection is heard of that has nothing to tell, and how long after the last time it is believed: ours. */
const BEAT_MS = 4000;
const BELIEVED_MS = 10_000;

export interface Hearing {
  /** Hears each word that is told. */
  told: (what: string) => void;
  /** Nothing that was heard before may be believed any longer. */
  lost: () => void;
}

/**
 * Hears what the database tells on one channel, on a connection of its own. It is believed only while it hears itself: it tells
 * something on the same channel every few seconds, so that a line that is dead, or a pooler that passes nothing on, is noticed.
 */
export class Listening {
  private client: pg.Client | null = null;
  private opened: Promise<unknown> = Promise.resolve();
  private heardAt = Number.NEGATIVE_INFINITY;
  private readonly beats: ReturnType<typeof setInterval>;
  ended = false;

  constructor(
    private readonly config: pg.ClientConfig,
    private readonly channel: string,
    private readonly hearing: Hearing,
  ) {
    this.beats = setInterval(() => void this.beat(), BEAT_MS);
    this.beats.unref();
    void this.beat();
  }

  /** Whether everything that was told until a moment ago has been heard. */
  get believed(): boolean {
    return performance.now() - this.heardAt < BELIEVED_MS;
  }

  end(): void {
    this.ended = true;
    clearInterval(this.beats);
    this.lose();
  }

  /** What was heard is worth nothing from here on; the next beat opens a new line. */
  private lose(error?: unknown): void {
    const { client } = this;
    if (!client && this.heardAt === Number.NEGATIVE_INFINITY) return;
    // Told once: while the database is away every beat fails.
    if (error && this.heardAt !== Number.NEGATIVE_INFINITY)
      log.warn({ err: error }, 'the line on which the database tells of changes was lost');
    this.client = null;
    this.heardAt = Number.NEGATIVE_INFINITY;
    this.hearing.lost();
    client?.end().catch(() => undefined);
  }

  /** Says something on the line, and opens it where there is none. */
  private async beat(): Promise<void> {
    const client = this.client ?? this.open();
    try {
      await this.opened;
      await client.query('select pg_notify($1, $2)', [this.channel, '']);
    } catch (error) {
      if (this.client === client) this.lose(error);
    }
  }

  private open(): pg.Client {
    const client = new pg.Client({
      ...this.config,
      keepAlive: true,
      connectionTimeoutMillis: BEAT_MS,
      query_timeout: BEAT_MS,
    });
    this.client = client;
    const gone = (error?: unknown) => {
      if (this.client === client) this.lose(error);
    };
    client.on('error', gone);
    client.on('end', () => gone());
    client.on('notification', ({ payload = '' }) => {
      if (this.client !== client) return;
      if (payload === '') this.heardAt = performance.now();
      else this.hearing.told(payload);
    });
    this.opened = client.connect().then(() => client.query(`listen ${pg.escapeIdentifier(this.channel)}`));
    return client;
  }
}

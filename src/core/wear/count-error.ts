/** How far what was counted may be off, as the standard deviation of its logarithm: a log, and a stated week. Ours. */
export const COUNT_ERROR = { log: 0.1, stated: 0.35 } as const;

import type { Rule } from './rule';

/** Rules under the name of their edition. */
export interface Knowledge {
  edition: string;
  rules: readonly Rule[];
}

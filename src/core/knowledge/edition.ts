import type { Room } from '../shoe/room';
import type { Rule } from './rule';

/** Rules under the name of their edition, and the clinic's own measure of room. */
export interface Knowledge {
  edition: string;
  rules: readonly Rule[];
  /** The clinic’s usual room in front of the toes, where it is another than common practice. */
  usualRoom?: Room | undefined;
}

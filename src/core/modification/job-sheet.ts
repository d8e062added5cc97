import type { Side } from '../findings/finding-kinds';
import type { FeatureValues } from '../shoe/features';
import type { Modification } from './modification';

/** What a technician needs to change a pair, and nothing of why. */
export interface JobSheet {
  clinic: string;
  phone: string;
  /** Whose it is, without a name. */
  initials: string;
  /** By which the pair is told from others of the day. */
  number: string;
  orderedOn: string;
  neededBy: string | null;
  shoe: string;
  sizes: Readonly<Record<Side, string>>;
  values: FeatureValues;
  modifications: readonly Modification[];
}

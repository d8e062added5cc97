import type { StepContents } from '@/core/visit/contents';
import type { SavedStep, StepState } from '@/core/visit/steps';
import { differences } from './differences';

/** A step as it stood before an entry. */
export interface StepBefore<S extends SavedStep = SavedStep> {
  step: S;
  content: StepContents[S];
  typed: Record<string, string>;
  state: StepState;
  /** Where in the content the entry was made; what is typed into one field is one entry. */
  where: string;
}

/** Entries that can be taken back. Ours; a whole examination has about a hundred. */
const MOST = 200;

/** Where a change was made: the places that differ. */
export const whereOf = (before: object, after: object): string =>
  differences(before, after)
    .map(({ path }) => path.join('.'))
    .join(' ');

/** The entries of this visit in this browser, the latest last. */
export class UndoList {
  private entries: StepBefore[] = [];

  /** Notes how a step stood before an entry; more of the same entry is not noted again. */
  note<S extends SavedStep>(before: StepBefore<S>): void {
    const last = this.entries.at(-1);
    if (last?.step === before.step && last.where === before.where && before.where !== '') return;
    this.entries = [...this.entries.slice(1 - MOST), before];
  }

  /** The latest entry, which is not in the list any more. */
  take(): StepBefore | undefined {
    return this.entries.pop();
  }

  get latest(): StepBefore | undefined {
    return this.entries.at(-1);
  }

  /** Forgets a step: what is in it now came from somebody else. */
  forget(step: SavedStep): void {
    this.entries = this.entries.filter((entry) => entry.step !== step);
  }
}

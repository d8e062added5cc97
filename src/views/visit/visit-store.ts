import { type Answer, fieldErrorsOf } from '@/contract/answer';
import { call } from '@/contract/client';
import type { FieldError } from '@/contract/operation';
import type { PresenceAnswer, VisitRecord } from '@/contract/records';
import type { StepContents, StepRecord } from '@/core/visit/contents';
import { contentsOf } from '@/core/visit/held';
import { PAIR_STEPS, type PairContents, type PairStep } from '@/core/visit/pair-work';
import { SAVED_STEPS, type SavedStep, type StepState, stepTable } from '@/core/visit/steps';
import { differences } from './differences';
import { type Draft, dropDraft, keepDraft, readDraft } from './drafts';
import { UndoList, whereOf } from './undo-list';

export type Saving = 'saved' | 'waiting' | 'saving' | 'offline' | 'signed-out' | 'refused' | 'conflict';

export interface StepEntry<S extends SavedStep = SavedStep> {
  state: StepState;
  revision: number;
  content: StepContents[S];
  typed: Record<string, string>;
  saving: Saving;
  /** Set while somebody else's version stands in the way. */
  theirs: StepRecord | null;
  errors: FieldError[];
  message: string | null;
  /** Content of the last save that has not been answered. */
  sent: StepContents[S] | null;
}

export interface VisitState {
  steps: { readonly [S in SavedStep]: StepEntry<S> };
  others: PresenceAnswer['others'];
  /** The step of the entry that can be taken back; null where there is none. */
  undoable: SavedStep | null;
}

/** Two contents that hold the same values; the server may order their keys differently. */
const same = (a: unknown, b: unknown): boolean => differences(a, b).length === 0;

/** Quiet time after the last keystroke before a step is saved. */
const SAVE_AFTER_MS = 500;
const RETRY_AFTER_MS = 3000;
const PRESENCE_EVERY_MS = 15_000;

/** What a step holds before anything was entered. */
const EMPTY: StepContents = {
  ask: { findings: {} },
  'old-pair': { findings: {} },
  feet: { findings: {} },
  load: { findings: {} },
  move: { findings: {} },
  reason: {},
  candidates: {},
  'try-on': {},
  'hand-over': {},
  warnings: {},
  prosthesis: {},
};

function entryOf<S extends SavedStep>(steps: readonly StepRecord[], step: S): StepEntry<S> {
  const record = steps.find((saved) => saved.step === step);
  return {
    state: record?.state ?? 'untouched',
    revision: record?.revision ?? 0,
    content: contentsOf(steps)[step] ?? EMPTY[step],
    typed: {},
    saving: 'saved',
    theirs: null,
    errors: [],
    message: null,
    sent: null,
  };
}

/**
 * Holds a visit's steps in the browser: every change is kept as a draft at once and saved to the server after a
 * moment; a lost connection, a reload or an expired sign-in loses nothing, and nobody is overwritten.
 */
export class VisitStore {
  private state: VisitState;
  private readonly listeners = new Set<() => void>();
  private readonly timers = new Map<SavedStep, ReturnType<typeof setTimeout>>();
  /** Saves under way, by step: each carries what was there when it began. */
  private readonly inFlight = new Map<SavedStep, Promise<void>>();
  private readonly entries = new UndoList();
  private closed: boolean;

  constructor(private readonly visit: VisitRecord) {
    const steps = stepTable<VisitState['steps']>((step) => entryOf(visit.steps, step));
    this.state = { steps, others: [], undoable: null };
    this.closed = visit.closedAt !== null;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): VisitState => this.state;

  content<S extends SavedStep>(step: S): StepContents[S] {
    return this.state.steps[step].content;
  }

  /** Restores what this browser still holds; call once, in the browser. Returns the steps restored. */
  restore(): SavedStep[] {
    if (this.closed) return [];
    const restored: SavedStep[] = [];
    for (const step of SAVED_STEPS) {
      const draft = readDraft(this.visit.id, step);
      if (!draft) continue;
      const entry = this.state.steps[step];
      const changed = !same(draft.content, entry.content) || draft.state !== entry.state;
      if (!changed && Object.keys(draft.typed).length === 0) {
        dropDraft(this.visit.id, step);
        continue;
      }
      restored.push(step);
      const behind =
        changed && draft.revision < entry.revision && !(draft.sent && same(draft.sent, entry.content));
      const theirs = behind ? this.visit.steps.find((saved) => saved.step === step) : undefined;
      this.put(step, {
        ...draft,
        revision: entry.revision,
        saving: theirs ? 'conflict' : 'waiting',
        theirs: theirs ?? null,
        sent: draft.sent ?? null,
      });
      if (!theirs && changed) this.schedule(step, 0);
      else if (!changed) this.put(step, { saving: 'saved' });
    }
    return restored;
  }

  /** Changes a step's content; the first change of an untouched step begins it. */
  change<S extends SavedStep>(
    step: S,
    content: StepContents[S],
    typed?: Record<string, string>,
    state?: StepState,
  ): void {
    if (this.closed) return;
    const entry = this.state.steps[step];
    const next =
      state ?? (entry.state === 'untouched' || entry.state === 'skipped' ? 'in-progress' : entry.state);
    const unchanged = JSON.stringify(content) === JSON.stringify(entry.content) && next === entry.state;
    if (!unchanged) {
      const where = whereOf(entry.content, content);
      this.entries.note({ step, content: entry.content, typed: entry.typed, state: entry.state, where });
    }
    this.replace(step, content, typed ?? entry.typed, next, unchanged);
  }

  /** Takes back the latest entry of this browser; says in which step it was, or null where there is none. */
  undo(): SavedStep | null {
    const before = this.entries.take();
    if (!before || this.closed) return null;
    // A step that was saved once is not untouched again.
    const state = before.state === 'untouched' ? 'in-progress' : before.state;
    this.replace(before.step, before.content, before.typed, state, false);
    return before.step;
  }

  private replace<S extends SavedStep>(
    step: S,
    content: StepContents[S],
    typed: Record<string, string>,
    state: StepState,
    unchanged: boolean,
  ): void {
    const entry = this.state.steps[step];
    this.put(step, {
      content,
      typed,
      state,
      saving: unchanged ? entry.saving : 'waiting',
      errors: [],
      message: null,
    });
    this.keep(step);
    if (!unchanged && entry.saving !== 'conflict') this.schedule(step, SAVE_AFTER_MS);
    if (entry.saving === 'conflict') this.put(step, { saving: 'conflict' });
  }

  /** Takes up the work on another pair; on a closed visit it is only looked at. */
  turnTo(contents: PairContents): void {
    for (const step of PAIR_STEPS) this.turnStep(step, contents[step]);
    // Entries of the other pair are not taken back under this one.
    for (const step of PAIR_STEPS) this.entries.forget(step);
    this.set(this.state);
  }

  private turnStep<S extends PairStep>(step: S, content: PairContents[S]): void {
    if (this.closed) this.put<PairStep>(step, { content });
    else this.change<PairStep>(step, content, {});
  }

  setState(step: SavedStep, state: StepState): void {
    if (state !== 'untouched') this.change(step, this.state.steps[step].content, undefined, state);
  }

  /** Ends a conflict with the content that the two versions were merged into. */
  settle<S extends SavedStep>(step: S, content: StepContents[S]): void {
    const { theirs } = this.state.steps[step];
    this.entries.forget(step);
    this.put(step, {
      content,
      revision: theirs?.revision ?? this.state.steps[step].revision,
      theirs: null,
      saving: 'waiting',
      message: null,
    });
    this.keep(step);
    this.schedule(step, 0);
  }

  /** Tries every unsaved step again, as after signing in. */
  retry(): void {
    for (const step of SAVED_STEPS) {
      const { saving } = this.state.steps[step];
      if (saving === 'offline' || saving === 'signed-out') this.schedule(step, 0);
    }
  }

  /** Saves what is waiting now, and says whether everything is on the server. */
  async flush(): Promise<boolean> {
    for (const step of SAVED_STEPS) {
      await this.inFlight.get(step);
      if (this.state.steps[step].saving !== 'saved') await this.save(step);
    }
    return SAVED_STEPS.every((step) => this.state.steps[step].saving === 'saved');
  }

  /** Tells the server where one is, and learns who else is here and what they saved. */
  async announcePresence(step: SavedStep): Promise<void> {
    if (this.closed) return;
    const answer = await call('presence', { params: { id: this.visit.id }, body: { step } });
    if (!answer.ok) return;
    this.set({ ...this.state, others: answer.value.others });
    const behind = SAVED_STEPS.filter(
      (name) =>
        (answer.value.revisions[name] ?? 0) > this.state.steps[name].revision &&
        this.state.steps[name].saving === 'saved' &&
        !this.inFlight.has(name),
    );
    if (behind.length === 0) return;
    const fresh = await call('visit', { params: { id: this.visit.id } });
    if (!fresh.ok) return;
    for (const name of behind) {
      const isThere = fresh.value.steps.some((saved) => saved.step === name);
      if (isThere && this.state.steps[name].saving === 'saved') {
        this.entries.forget(name);
        this.put(name, entryOf(fresh.value.steps, name));
      }
    }
  }

  /** Announces presence and retries what is unsaved until the returned function is called. */
  keepInTouch(current: () => SavedStep): () => void {
    const presence = setInterval(() => void this.announcePresence(current()), PRESENCE_EVERY_MS);
    const online = () => this.retry();
    const leave = () => {
      for (const step of [...this.timers.keys()]) void this.save(step, true);
    };
    window.addEventListener('online', online);
    window.addEventListener('pagehide', leave);
    void this.announcePresence(current());
    return () => {
      clearInterval(presence);
      window.removeEventListener('online', online);
      window.removeEventListener('pagehide', leave);
    };
  }

  private async save(step: SavedStep, leaving = false): Promise<void> {
    clearTimeout(this.timers.get(step));
    this.timers.delete(step);
    if (this.inFlight.has(step)) return this.schedule(step, SAVE_AFTER_MS);
    const entry = this.state.steps[step];
    if (entry.saving === 'conflict' || entry.saving === 'saved' || entry.state === 'untouched') return;
    const running = this.send(step, entry, entry.state, leaving);
    this.inFlight.set(step, running);
    return running;
  }

  private async send(
    step: SavedStep,
    entry: StepEntry,
    state: Exclude<StepState, 'untouched'>,
    leaving: boolean,
  ): Promise<void> {
    const sent = entry.content;
    this.put(step, { saving: 'saving', sent });
    this.keep(step);
    const answer = await call(
      'saveStep',
      {
        params: { id: this.visit.id, step },
        body: { revision: entry.revision, state, content: sent },
      },
      { keepalive: leaving },
    );
    this.inFlight.delete(step);
    const now = this.state.steps[step];
    if (answer.ok) {
      const more = now.content !== sent || now.state !== entry.state;
      this.put(step, {
        revision: answer.value.revision,
        saving: more ? 'waiting' : 'saved',
        sent: null,
        errors: [],
        message: null,
      });
      if (more) this.schedule(step, SAVE_AFTER_MS);
      this.keep(step);
      return;
    }
    if (answer.kind === 'refused') return this.refused(step, entry, answer);
    // A save is never cancelled; what was not reached is tried again.
    this.put(step, { saving: answer.kind === 'signed-out' ? 'signed-out' : 'offline' });
    if (answer.kind !== 'signed-out') this.schedule(step, RETRY_AFTER_MS);
  }

  private refused(
    step: SavedStep,
    before: StepEntry,
    answer: Extract<Answer<unknown, StepRecord>, { kind: 'refused' }>,
  ): void {
    const { problem } = answer;
    const current = problem.code === 'conflict' ? problem.current : undefined;
    if (!current) {
      this.put(step, { saving: 'refused', errors: fieldErrorsOf(answer), message: problem.title });
      return;
    }
    const now = this.state.steps[step];
    const isOwn = same(current.content, now.content) || (before.sent && same(current.content, before.sent));
    if (isOwn) {
      // An earlier save of ours arrived although its answer did not: go on from there.
      this.put(step, { revision: current.revision, saving: 'waiting', sent: null });
      this.schedule(step, 0);
    } else this.put(step, { saving: 'conflict', theirs: current, message: problem.title });
  }

  private schedule(step: SavedStep, after: number): void {
    clearTimeout(this.timers.get(step));
    this.timers.set(
      step,
      setTimeout(() => void this.save(step), after),
    );
  }

  private keep(step: SavedStep): void {
    const { saving, typed, revision, state, content, sent } = this.state.steps[step];
    if (saving === 'saved' && Object.keys(typed).length === 0) dropDraft(this.visit.id, step);
    else keepDraft(this.visit.id, step, { revision, state, content, typed, sent } satisfies Draft);
  }

  private put<S extends SavedStep>(step: S, part: Partial<StepEntry<S>>): void {
    this.set({
      ...this.state,
      steps: { ...this.state.steps, [step]: { ...this.state.steps[step], ...part } },
    });
  }

  private set(state: VisitState): void {
    this.state = { ...state, undoable: this.entries.latest?.step ?? null };
    for (const listener of this.listeners) listener();
  }
}

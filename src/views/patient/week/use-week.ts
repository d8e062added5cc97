import { useMemo, useState } from 'react';
import { failureInWords } from '@/contract/answer';
import type { WeekRecord } from '@/contract/answers/pairs';
import { call } from '@/contract/client';
import { planWeek } from '@/core/wear/rotation/plan';
import { type Session, withRacesLeft } from '@/core/wear/rotation/week';

/** A patient's week under the hands: what is there, the plan for it, and what is kept of it. */
export function useWeek(patientId: string, given: WeekRecord) {
  const [record, setRecord] = useState(given);
  const [sessions, setSessions] = useState<readonly Session[]>(given.sessions);
  const [settled, setSettled] = useState<Readonly<Record<string, string>>>(given.settled);
  const [problem, setProblem] = useState('');
  const [state, setState] = useState<'kept' | 'changed' | 'keeping'>('kept');
  const pairs = useMemo(() => withRacesLeft(record.pairs, sessions), [record.pairs, sessions]);
  const plan = useMemo(() => planWeek(sessions, pairs, settled), [pairs, sessions, settled]);
  const change = (next: readonly Session[], by: Readonly<Record<string, string>> = settled) => {
    setSessions(next);
    setSettled(by);
    setState('changed');
  };
  return {
    record,
    pairs,
    sessions,
    settled,
    plan,
    problem,
    state,
    put: (id: string, part: Partial<Session>) =>
      change(sessions.map((session) => (session.id === id ? { ...session, ...part } : session))),
    /** Gives an outing to a pair, on a day. */
    move: (id: string, pair: string, day: number) =>
      change(
        sessions.map((session) => (session.id === id ? { ...session, day } : session)),
        { ...settled, [id]: pair },
      ),
    free: (id: string) => {
      const { [id]: _, ...rest } = settled;
      change(sessions, rest);
    },
    add: () =>
      change([
        ...sessions,
        { id: crypto.randomUUID(), day: 2, activity: 'road-running', kind: 'easy', amount: 8 },
      ]),
    remove: (id: string) => {
      const { [id]: _, ...rest } = settled;
      change(
        sessions.filter((session) => session.id !== id),
        rest,
      );
    },
    keep: async () => {
      setState('keeping');
      const answer = await call('saveWeek', {
        params: { id: patientId },
        body: { sessions: [...sessions], settled: { ...settled } },
      });
      setState(answer.ok ? 'kept' : 'changed');
      setProblem(answer.ok ? '' : failureInWords(answer));
      if (!answer.ok) return;
      setRecord(answer.value);
      setSessions(answer.value.sessions);
      setSettled(answer.value.settled);
    },
  };
}

export type Week = ReturnType<typeof useWeek>;

import type { RecallItem } from '@/contract/records';
import { type RecallKindId, recallKind } from '@/core/recall/kinds';
import { STEP_NAME, whereVisitStands } from '@/core/visit/steps';

const ofPerson = (part: string) => (row: RecallItem) => `/patients/${row.patient.id}#${part}`;
const ofPair = (part: string) => (row: RecallItem) => `/pairs/${row.aboutId}${part}`;
const ofVisit = (row: RecallItem) => `/visits/${row.aboutId}#${whereVisitStands(row.steps ?? {})}`;

/** Where what comes next is done. */
const LEADS_TO: Readonly<Record<RecallKindId, (row: RecallItem) => string>> = {
  'home-warning': ofPerson('from-home'),
  'stop-wearing': ofPair('#break-in'),
  'outcome-alarm': ofPair('#outcomes'),
  'visit-open': ofVisit,
  // A visit begins at the top of a patient’s page.
  'risk-check': ({ patient }) => `/patients/${patient.id}`,
  'refit-due': ofPair('/review'),
  'return-ends': ofPair('#break-in'),
  'order-to-check': ofPerson('orders'),
  'order-to-return': ofPerson('orders'),
  'order-to-collect': ofPerson('orders'),
  'order-late': ofPerson('orders'),
  'order-to-place': ofPerson('orders'),
  'answers-missing': ofPair('#break-in'),
  'pair-overdue': ofPair('#inspect'),
  'review-due': ofPair('/review'),
  'outcomes-due': ofPair('#outcomes'),
  'pair-in-window': ofPair('#inspect'),
  'bring-in-next': ofPair('#inspect'),
};

/** What to do next about a row, in words, and the page where it is done. */
export function nextAction(row: RecallItem): { words: string; path: string } {
  const { next } = recallKind(row.kind);
  return {
    words: row.kind === 'visit-open' ? `${next}: ${STEP_NAME[whereVisitStands(row.steps ?? {})]}` : next,
    path: LEADS_TO[row.kind](row),
  };
}

import { noticesOf, type OldPair, verdictOfPair } from '@/core/wear/old-pair';
import { VerdictPanel } from '../../../worn/VerdictPanel';
import { useExamined } from '../../visit-context';

/** Spent? and does it suit? of a pair that was brought. */
export function PairVerdict({ pair }: { pair: OldPair }) {
  const { verdictContext } = useExamined();
  return (
    <VerdictPanel
      title={pair.title}
      verdict={verdictOfPair(pair, verdictContext)}
      notices={noticesOf(pair, verdictContext)}
    />
  );
}

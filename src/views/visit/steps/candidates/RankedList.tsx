import { useMemo, useState } from 'react';
import { modelTitle } from '@/core/catalogue/model';
import { greaterOf } from '@/core/findings/picture';
import { type Candidate, proposeFrom } from '@/core/match/candidates';
import { DIRECTIONS, type DirectionId, moreLikeThis } from '@/core/match/more-like';
import { type Proposal, ROLE_LABEL } from '@/core/match/propose';
import type { CandidatesView } from '../../use-candidates';
import { useVisit } from '../../visit-context';
import { OwnPairsForTrip, WantedShoe } from './AskedFor';
import { CandidateRow } from './CandidateRow';
import { NoneWithin } from './NoneWithin';
import { useBrought } from './use-brought';

const SHOWN = 8;

/** What is said of a number of proposals that want explaining. */
const HOW_MANY = [
  'None is proposed: each must satisfy every limit and every strong target.',
  'Only one is proposed: each must satisfy every limit and every strong target.',
  'Only two are proposed: each must satisfy every limit and every strong target.',
  'Still open:',
];

/** Best first, with the three that teach most together, and ways to look for others like one of them. */
export function RankedList({ candidates }: { candidates: CandidatesView }) {
  const { readOnly, specification, picture } = useVisit();
  const { chosen, choose } = useBrought();
  const [shown, setShown] = useState(SHOWN);
  const [open, setOpen] = useState<string | null>(null);
  const [like, setLike] = useState<{ id: string; but: DirectionId } | null>(null);
  const { usable, byId, onFoot } = candidates;
  const measured = greaterOf(picture, 'footLength') !== null;
  const ranked = useMemo(() => usable.map(({ entry }) => entry), [usable]);
  const { proposals, because } = useMemo(
    () => proposeFrom(usable, byId, specification, onFoot),
    [usable, byId, specification, onFoot],
  );
  const alike = useMemo(
    () => (like && byId.get(like.id) ? moreLikeThis(like.but, byId.get(like.id)!, ranked, byId) : null),
    [like, ranked, byId],
  );
  const row = (candidate: Candidate, also?: string) => (
    <CandidateRow
      key={candidate.model.id}
      candidate={candidate}
      onFoot={onFoot}
      also={also}
      kinship={candidates.lineage.get(candidate.model.id)}
      open={open === candidate.model.id}
      onOpen={() => setOpen(open === candidate.model.id ? null : candidate.model.id)}
      onLike={(but) => setLike({ id: candidate.model.id, but })}
    />
  );
  const find = (id: string) => usable.find(({ model }) => model.id === id);
  return (
    <div className="grid gap-2">
      <p role="status">
        {usable.length} of {candidates.ranked.length + candidates.excluded.length} models are within the
        limits
        {measured ? ' and available in the size needed' : ''}.
        {!measured && <span className="text-hold"> Measure the feet to see sizes.</span>}
      </p>
      <WantedShoe candidates={candidates} />
      <OwnPairsForTrip candidates={candidates} />
      {usable.length === 0 ? (
        <NoneWithin noSize={candidates.noSize.length} />
      ) : (
        proposals.length > 0 && <ToTry proposals={proposals} candidates={candidates} />
      )}
      {usable.length > 0 && because.length > 0 && (
        <section aria-label="Why fewer than three" className="text-hold">
          <p>{HOW_MANY[proposals.length]}</p>
          <ul className="list-disc pl-5">
            {because.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </section>
      )}
      {!readOnly && proposals.length > 0 && (
        <p className="flex gap-3 items-baseline">
          <button type="button" className="press" onClick={() => choose(proposals.map(({ id }) => id))}>
            Propose {proposals.length === 3 ? 'these three' : 'these'}
          </button>
          <span className="text-faint" role="status">
            {chosen.length === 0
              ? 'Choose two or three to bring.'
              : `To bring: ${chosen.map((id) => (byId.get(id) ? modelTitle(byId.get(id)!) : '')).join('; ')}`}
          </span>
        </p>
      )}
      {like && alike && (
        <section aria-label="More like this" className="bg-desk px-3 py-2">
          <p className="flex gap-3 items-baseline">
            <span>
              Like <strong>{modelTitle(byId.get(like.id)!)}</strong>, but {DIRECTIONS[like.but].label}:
            </span>
            <button type="button" className="press press-quiet ml-auto" onClick={() => setLike(null)}>
              Close
            </button>
          </p>
          {alike.length === 0 ? (
            <p>No other candidate goes far enough that way to be felt.</p>
          ) : (
            <ol>{alike.flatMap(({ id, also }) => (find(id) ? [row(find(id)!, also)] : []))}</ol>
          )}
        </section>
      )}
      <ol aria-label="Ranked candidates">{usable.slice(0, shown).map((candidate) => row(candidate))}</ol>
      {shown < usable.length && (
        <button type="button" className="press justify-self-start" onClick={() => setShown(shown + 12)}>
          Show more
        </button>
      )}
    </div>
  );
}

function ToTry({ proposals, candidates }: { proposals: readonly Proposal[]; candidates: CandidatesView }) {
  return (
    <ul className="grid grid-cols-3 gap-4 border-y border-line py-2" aria-label="Three to learn from">
      {proposals.map(({ id, role, teaches }) => {
        const candidate = candidates.usable.find(({ model }) => model.id === id)!;
        return (
          <li key={id}>
            <span className="block text-faint text-xs">{ROLE_LABEL[role]}</span>
            <strong>{modelTitle(candidate.model)}</strong>{' '}
            <span className="figure">{candidate.pair?.label}</span>
            <span className="block text-sm">{teaches}</span>
          </li>
        );
      })}
    </ul>
  );
}

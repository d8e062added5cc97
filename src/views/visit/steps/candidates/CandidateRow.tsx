import { useMemo } from 'react';
import { pictureOf } from '@/core/catalogue/drawing-of-model';
import { figuresInWords } from '@/core/catalogue/figures-in-words';
import { modelTitle } from '@/core/catalogue/model';
import type { Candidate } from '@/core/match/candidates';
import { type Kinship, kinshipInWords } from '@/core/match/lineage';
import { DIRECTIONS, type DirectionId } from '@/core/match/more-like';
import { otherSportInWords } from '@/core/match/other-sport';
import { reasonsFor } from '@/core/match/rank';
import { scoreInWords } from '@/core/match/score-in-words';
import { ON_FOOT_LABEL, verdictOnFoot } from '@/core/prosthesis/on-this-foot';
import type { SizedPair } from '@/core/sizing/size-pair';
import { mapTable } from '@/core/tables/keys-of';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { Select } from '@/ui/fields/Select';
import type { CandidatesView } from '../../use-candidates';
import { useVisit } from '../../visit-context';
import { CandidateDetail } from './CandidateDetail';
import { useBrought } from './use-brought';

interface Props {
  candidate: Candidate;
  /** Reads a shoe on the prosthetic foot; null without one. */
  onFoot: CandidatesView['onFoot'];
  open: boolean;
  onOpen: () => void;
  onLike: (but: DirectionId) => void;
  /** What else changes against the one it is like. */
  also?: string | undefined;
  /** How it stands to a pair that served or failed. */
  kinship: Kinship | undefined;
}

const DIRECTION_LABELS = mapTable(DIRECTIONS, ({ label }) => label);

/** One candidate: how well it serves, in which size, what speaks for and against it. */
export function CandidateRow({ candidate, onFoot, open, onOpen, onLike, also, kinship }: Props) {
  const { entry, model, pair } = candidate;
  const { specification, readOnly, picture } = useVisit();
  const { chosen, toggle } = useBrought();
  const reasons = useMemo(() => reasonsFor(model, specification), [model, specification]);
  const drawing = useMemo(() => pictureOf(model), [model]);
  const on = onFoot?.(model);
  const title = modelTitle(model);
  const otherSport = otherSportInWords(picture, model);
  const wants = specification.targets.length > 0;
  return (
    <li className="border-b border-line py-1.5 grid grid-cols-[1.4rem_6rem_minmax(0,1fr)_auto] xl:grid-cols-[1.4rem_6rem_minmax(0,1fr)_10.5rem] gap-x-3 items-start">
      <input
        type="checkbox"
        className="mt-1 size-5"
        checked={chosen.includes(model.id)}
        disabled={readOnly}
        onChange={() => toggle(model.id)}
        aria-label={`Bring ${title}`}
      />
      <ShoeDrawing drawing={drawing} className="w-24" />
      <div>
        <p>
          <strong>{title}</strong>
          {wants && (
            <>
              {' '}
              <span className="figure">{scoreInWords(entry, reasons.contra.length > 0)}</span> of what is
              wanted
            </>
          )}
          {entry.unknown > 0.02 && (
            <span className="text-faint">, {Math.round(entry.unknown * 100)} % rests on unstated values</span>
          )}
          {model.status === 'discontinued' && <span className="text-hold"> No longer made.</span>}
        </p>
        {on && (
          <p className={verdictOnFoot(on) === 'fine' ? '' : 'text-hold'}>
            On this foot: {ON_FOOT_LABEL[verdictOnFoot(on)]}. {on.shank?.sentence ?? on.checks[0]}
          </p>
        )}
        {kinship && (
          <p className={kinship.verdict === 'failed' ? 'text-hold' : ''}>{kinshipInWords(kinship)}</p>
        )}
        {otherSport && <p>{otherSport}</p>}
        {also !== undefined && <p>{also ? `Also ${also}.` : 'Little else changes.'}</p>}
        <p className="text-faint">
          {reasons.pro
            .slice(0, 3)
            .map((reason) => `${reason.label.toLowerCase()} ${reason.has}`)
            .join(', ')}
        </p>
        {reasons.contra.length > 0 && (
          <p>
            Against:{' '}
            {reasons.contra
              .slice(0, 2)
              .map(
                (reason) =>
                  `${reason.label.toLowerCase()} ${reason.has} (wanted ${reason.wanted}${reason.fails ? ` for the ${reason.fails}` : ''})`,
              )
              .join(', ')}
            .
          </p>
        )}
        {reasons.check.map((line) => (
          <p key={line} className="text-hold">
            {line}
          </p>
        ))}
        <p className="text-sm flex flex-wrap gap-x-4 items-center">
          <button
            type="button"
            className="cursor-pointer underline"
            aria-expanded={open}
            aria-label={`${open ? 'Less' : 'All reasons'}: ${title}`}
            onClick={onOpen}
          >
            {open ? 'less' : 'all reasons'}
          </button>
          <Select<DirectionId>
            quiet
            label={`More like ${title}, but`}
            className="text-sm more-like"
            none="more like this, but …"
            options={DIRECTION_LABELS}
            value={undefined}
            onChange={(direction) => direction && onLike(direction)}
          />
          <span className="xl:ml-auto figure text-faint whitespace-nowrap">{figuresInWords(model)}</span>
        </p>
      </div>
      <div className="text-right">{pair && <PairSize pair={pair} candidate={candidate} />}</div>
      {open && (
        <div className="col-span-4">
          <CandidateDetail candidate={candidate} reasons={reasons} />
        </div>
      )}
    </li>
  );
}

/** The size on both feet and what of it stands on the shelf. */
function PairSize({ pair, candidate }: { pair: SizedPair; candidate: Candidate }) {
  const count = candidate.onShelf;
  return (
    <p>
      <span className="figure font-medium">{pair.label}</span>
      <span className={`block text-xs ${count > 0 ? 'text-faint' : 'text-hold'}`}>
        {count > 0
          ? `${count} on the shelf`
          : candidate.model.status === 'current'
            ? 'to order'
            : 'not there'}
      </span>
      {pair.advice && <span className="block text-xs text-hold">{pair.advice}</span>}
    </p>
  );
}

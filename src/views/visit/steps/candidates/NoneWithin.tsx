import { useVisit } from '../../visit-context';

/** Why nothing is left to choose from, and what to do next: limits that contradict each other let no shoe through, whatever is ordered. */
export function NoneWithin({
  noSize,
}: {
  /** How many are within the limits, but not to be had in the size needed. */
  noSize: number;
}) {
  const { specification } = useVisit();
  // What one foot has for itself, an insert or a pad, leaves no shoe out.
  if (specification.deadlocks.some(({ side }) => side === undefined))
    return (
      <p role="alert" className="problem">
        Limits contradict each other, so no shoe can be within all of them: decide first under{' '}
        <a href="#reason">Reason</a>.
      </p>
    );
  return (
    <p className="problem">
      {noSize > 0
        ? 'No model that is within the limits can be had in this size. Order one, refer to an orthopaedic shoemaker, or look at the limits again.'
        : 'No model in the catalogue is within the limits: “Left out” says which limit each of them breaks. Order one, refer to an orthopaedic shoemaker, or look at the limits again.'}
    </p>
  );
}

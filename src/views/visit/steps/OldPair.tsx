import { FindingField } from '../FindingField';

/** What the patient came in: age, distance, signs. */
export function OldPair() {
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap gap-6">
        <FindingField id="oldPairAge" />
        <FindingField id="oldPairDistance" />
        <FindingField id="oldPairDrop" />
      </div>
      <FindingField id="oldPairCategory" />
      <FindingField id="oldPairSigns" />
      <p className="text-faint max-w-prose">
        The midsole is the heart of a shoe: upper and tread can look new when it is finished. Outer back heel
        wear is the usual landing place and means nothing by itself.
      </p>
    </div>
  );
}

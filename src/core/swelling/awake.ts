/** Waking day from rising to the evening, hours, and when people rise where nobody said. Ours. */
export const WAKING_HOURS = 14;
const RISES_AT = 7;

/** Hours awake at a local moment: as it was said, or from seven in the morning. */
export const awakeAt = ({ at, awakeHours }: { at: string; awakeHours?: number | undefined }): number =>
  awakeHours ?? Math.max(0, Number(at.slice(11, 13)) + Number(at.slice(14, 16)) / 60 - RISES_AT);

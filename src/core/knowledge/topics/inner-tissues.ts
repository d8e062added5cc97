/** Tissues on the inner side that a foot rolling in loads. */
export const INNER_TISSUES = ['ankle-inner', 'arch', 'plantar-heel'] as const;

/** Anchors that several features share. */
export const FIVE_STIFF = ['very flexible', 'flexible', 'medium', 'stiff', 'rigid'] as const;
export const YES_NO = { no: 'no', yes: 'yes' } as const;

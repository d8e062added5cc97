/** About a thumb's width, 12 mm, beyond the longest toe, standing; 10–15 mm accepted. Common practice. */
export const USUAL_ROOM = { least: 10, wished: 12, most: 15 } as const;

/** What is cut out of a picture, as shares of its width and height. */
export interface Crop {
  left: number;
  top: number;
  right: number;
  bottom: number;
}
export const WHOLE: Crop = { left: 0, top: 0, right: 1, bottom: 1 };

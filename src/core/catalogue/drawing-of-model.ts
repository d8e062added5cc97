import type { Drawing } from '../shoe/drawing/part';
import { sideProfile } from '../shoe/drawing/side-profile';
import { USUAL_LENGTH_MM } from '../shoe/drawing/sole-measures';
import { solePlan } from '../shoe/drawing/sole-plan';
import type { ShoeModel } from './model';

/** A child’s shoe as it is drawn: about a 29. Ours. */
const CHILD_LENGTH_MM = 200;

type Drawn = Pick<ShoeModel, 'features' | 'sizing'>;

/** Length of the sole that a model is drawn with, mm: that of whom it is made for. */
export const drawnLengthOf = ({ sizing }: Drawn): number =>
  sizing.group === 'child' ? CHILD_LENGTH_MM : USUAL_LENGTH_MM;

/** Side profile of a model, at the length of whom it is made for. */
export const profileOf = (model: Drawn): Drawing => sideProfile(model.features, drawnLengthOf(model));

/** The same without its measures. */
export const pictureOf = (model: Drawn): Drawing => ({ ...profileOf(model), dimensions: [] });

/** Plan of a model’s sole, at the length of whom it is made for. */
export const planOf = (model: Drawn): Drawing => solePlan(model.features, null, drawnLengthOf(model));

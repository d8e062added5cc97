import type { Knowledge } from '../../knowledge/edition';
import type { SchoolChoice } from '../../knowledge/schools';
import type { SetAside } from './specification';

/** Under which school, rules and waived pushes a picture is read. */
export interface ReasoningOptions {
  school?: SchoolChoice;
  setAside?: readonly SetAside[];
  knowledge: Knowledge;
}

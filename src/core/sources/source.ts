/** A published source, recalled and not read from the paper. `recall` is our confidence in per cent. */
export interface Source {
  cite: string;
  says: string;
  recall: number;
}

/** Below 60 % a value may only be a clinic setting; 60–84 % is marked “check”. */
export const recallMark = (recall: number): string => (recall >= 85 ? 'from memory' : 'from memory, check');

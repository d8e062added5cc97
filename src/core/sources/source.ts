/** A published source, recalled and not read from the paper. `recall` is our confidence in per cent. */
export interface Source {
  cite: string;
  says: string;
  recall: number;
}

/**
 * Complementary error function by a Chebyshev fit, relative error below 1.2e-7 everywhere.
 * Source: Press WH et al., Numerical Recipes, 2nd ed., §6.2 (coefficients from memory, checked against a library).
 */
function erfc(x: number): number {
  const z = Math.abs(x);
  const t = 1 / (1 + 0.5 * z);
  const fit =
    -1.26551223 +
    t *
      (1.00002368 +
        t *
          (0.37409196 +
            t *
              (0.09678418 +
                t *
                  (-0.18628806 +
                    t *
                      (0.27886807 +
                        t * (-1.13520398 + t * (1.48851587 + t * (-0.82215223 + t * 0.17087277))))))));
  const result = t * Math.exp(-z * z + fit);
  return x >= 0 ? result : 2 - result;
}

/** Share of a standard normal variable below `z`. */
export const normalBelow = (z: number): number => 0.5 * erfc(-z / Math.SQRT2);

export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);

/** Half the width of a central 95 % interval in standard deviations. */
export const Z_95 = 1.959964;

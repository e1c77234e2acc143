import { log } from '../math';

/** How a figure is spread: normal about a mean, or uniform between two bounds; never less than `atLeast` where that is given. */
export type Distribution =
  | { readonly is: 'normal'; readonly mean: number; readonly sd: number; readonly atLeast?: number }
  | { readonly is: 'uniform'; readonly least: number; readonly most: number };

export const normal = (mean: number, sd: number, atLeast?: number): Distribution => ({
  is: 'normal',
  mean,
  sd,
  ...(atLeast === undefined ? {} : { atLeast }),
});
export const uniform = (least: number, most: number): Distribution => ({
  is: 'uniform',
  least,
  most,
});

const polynomial = (by: readonly number[], x: number): number =>
  by.reduceRight((sum, c) => sum * x + c, 0);

// Coefficients of the three rational functions, by rising powers.
const MIDDLE = [
  [
    3.387132872796366608, 133.14166789178437745, 1971.5909503065514427, 13731.693765509461125,
    45921.953931549871457, 67265.770927008700853, 33430.575583588128105, 2509.0809287301226727,
  ],
  [
    1, 42.313330701600911252, 687.1870074920579083, 5394.1960214247511077, 21213.794301586595867,
    39307.89580009271061, 28729.085735721942674, 5226.495278852854561,
  ],
] as const;
const OUTER = [
  [
    1.42343711074968357734, 4.6303378461565452959, 5.7694972214606914055, 3.64784832476320460504,
    1.27045825245236838258, 0.24178072517745061177, 0.0227238449892691845833,
    7.7454501427834140764e-4,
  ],
  [
    1, 2.05319162663775882187, 1.6763848301838038494, 0.68976733498510000455,
    0.14810397642748007459, 0.0151986665636164571966, 5.475938084995344946e-4,
    1.05075007164441684324e-9,
  ],
] as const;
const TAIL = [
  [
    6.6579046435011037772, 5.4637849111641143699, 1.7848265399172913358, 0.29656057182850489123,
    0.026532189526576123093, 0.0012426609473880784386, 2.71155556874348757815e-5,
    2.01033439929228813265e-7,
  ],
  [
    1, 0.59983220655588793769, 0.13692988092273580531, 0.0148753612908506148525,
    7.868691311456132591e-4, 1.8463183175100546818e-5, 1.4215117583164458887e-7,
    2.04426310338993978564e-15,
  ],
] as const;

/**
 * Quantile of the normal distribution with mean 0 and deviation 1: for p in (0, 1), within 1e-15 (Wichura 1988, algorithm
 * AS 241, PPND16). Its logarithm is the core's own, so that every engine gives the same bits.
 */
export function normalQuantile(p: number): number {
  const q = p - 0.5;
  if (Math.abs(q) <= 0.425) {
    const r = 0.180625 - q * q;
    return (q * polynomial(MIDDLE[0], r)) / polynomial(MIDDLE[1], r);
  }
  const r = Math.sqrt(-log(q < 0 ? p : 1 - p));
  const [over, under] = r <= 5 ? OUTER : TAIL;
  const x = r - (r <= 5 ? 1.6 : 5);
  const value = polynomial(over, x) / polynomial(under, x);
  return q < 0 ? -value : value;
}

/** The figure that a share `p` of all are below, p in (0, 1). */
export function quantileOf(spread: Distribution, p: number): number {
  if (spread.is === 'uniform') return spread.least + p * (spread.most - spread.least);
  const value = spread.mean + spread.sd * normalQuantile(p);
  return spread.atLeast === undefined ? value : Math.max(spread.atLeast, value);
}

/**
 * Elementary functions that give the same bits in every JavaScript engine.
 *
 * Math.sin, cos, exp, log and atan2 may differ in the last place between Node and browsers,
 * which would make a run recorded in one replay differently in the other. These use only
 * + − × ÷ and comparisons, which IEEE 754 fixes exactly. Math.sqrt, abs, floor and round are
 * exact by the language's specification and are used as they are.
 */

// π/2 in three parts (Cody & Waite, Software Manual for the Elementary Functions, 1980):
// the first two have trailing zeros, so k·part is exact for |k| < 2^20.
const HALF_PI_HIGH = 1.5707963267341256;
const HALF_PI_MIDDLE = 6.077100506303966e-11;
const HALF_PI_LOW = 2.0222662487959506e-21;
const TWO_OVER_PI = 0.6366197723675814;

// Minimax coefficients for |x| ≤ π/4, as published with fdlibm (Sun Microsystems, 1993).
const S1 = -1.66666666666666324348e-1;
const S2 = 8.33333333332248946124e-3;
const S3 = -1.98412698298579493134e-4;
const S4 = 2.75573137070700676789e-6;
const S5 = -2.50507602534068634195e-8;
const S6 = 1.58969099521155010221e-10;
const C1 = 4.16666666666666019037e-2;
const C2 = -1.38888888888741095749e-3;
const C3 = 2.48015872894767294178e-5;
const C4 = -2.75573143513906633035e-7;
const C5 = 2.0875723212981748279e-9;
const C6 = -1.13596475577881948265e-11;

function sinKernel(x: number): number {
  const z = x * x;
  return x + x * z * (S1 + z * (S2 + z * (S3 + z * (S4 + z * (S5 + z * S6)))));
}

function cosKernel(x: number): number {
  const z = x * x;
  return 1 - 0.5 * z + z * z * (C1 + z * (C2 + z * (C3 + z * (C4 + z * (C5 + z * C6)))));
}

/** Sine of x in radians; error below 2 ulp for |x| < 1e5. */
export function sin(x: number): number {
  const k = Math.round(x * TWO_OVER_PI);
  const y = x - k * HALF_PI_HIGH - k * HALF_PI_MIDDLE - k * HALF_PI_LOW;
  switch (k & 3) {
    case 0:
      return sinKernel(y);
    case 1:
      return cosKernel(y);
    case 2:
      return -sinKernel(y);
    default:
      return -cosKernel(y);
  }
}

/** Cosine of x in radians; error below 2 ulp for |x| < 1e5. */
export function cos(x: number): number {
  const k = Math.round(x * TWO_OVER_PI);
  const y = x - k * HALF_PI_HIGH - k * HALF_PI_MIDDLE - k * HALF_PI_LOW;
  switch (k & 3) {
    case 0:
      return cosKernel(y);
    case 1:
      return -sinKernel(y);
    case 2:
      return -cosKernel(y);
    default:
      return sinKernel(y);
  }
}

/** An angle, rad, and its sine and cosine as a row: the angle handed over in it, as a bare number would be boxed. */
export const TURN = { SIN: 0, COS: 1, ANGLE: 2 } as const;
export const TURN_COLUMNS = 3;

/** Sine and cosine of the row's angle, reduced once; the same bits as sin and cos. */
export function sineCosine(out: Float64Array): void {
  const x = out[TURN.ANGLE]!;
  const k = Math.round(x * TWO_OVER_PI);
  const y = x - k * HALF_PI_HIGH - k * HALF_PI_MIDDLE - k * HALF_PI_LOW;
  // The two kernels, written out: what a function hands back is boxed where it is not inlined.
  const z = y * y;
  const s = y + y * z * (S1 + z * (S2 + z * (S3 + z * (S4 + z * (S5 + z * S6)))));
  const c = 1 - 0.5 * z + z * z * (C1 + z * (C2 + z * (C3 + z * (C4 + z * (C5 + z * C6)))));
  const odd = (k & 1) !== 0;
  const a = odd ? c : s;
  const b = odd ? s : c;
  out[TURN.SIN] = (k & 2) !== 0 ? -a : a;
  out[TURN.COS] = ((k + 1) & 2) !== 0 ? -b : b;
}

const LN2 = 0.6931471805599453;
/** 2^k by k, for k = 1, 2, 4 … 512. */
const POWERS_OF_TWO: readonly number[] = Array.from({ length: 513 }, (_, k) => {
  let value = 1;
  for (let i = 0; i < k; i++) value *= 2;
  return value;
});

/** e^x; relative error below 1e-14 for |x| < 700, 0 below −745, Infinity above 709. */
export function exp(x: number): number {
  if (x < -745) return 0;
  if (x > 709) return Infinity;
  const k = Math.round(x / LN2);
  // Scaled down by 2^6 so that a short Taylor series is enough, then squared back up.
  const r = (x - k * LN2) / 64;
  let value = 1 + r * (1 + (r / 2) * (1 + (r / 3) * (1 + (r / 4) * (1 + (r / 5) * (1 + r / 6)))));
  for (let i = 0; i < 6; i++) value *= value;
  const step = k < 0 ? 0.5 : 2;
  for (let i = Math.abs(k); i > 0; i--) value *= step;
  return value;
}

/** Natural logarithm of x > 0; relative error below 1e-14. NaN for x < 0, −Infinity for 0. */
export function log(x: number): number {
  if (!(x > 0)) return x === 0 ? -Infinity : NaN;
  if (x === Infinity) return Infinity;
  let mantissa = x;
  let exponent = 0;
  // Powers of two only, so nothing is rounded; big strides first, as this is on the hot path.
  for (let bits = 512; bits >= 1; bits /= 2) {
    const stride = POWERS_OF_TWO[bits]!;
    while (mantissa >= stride) {
      mantissa /= stride;
      exponent += bits;
    }
    while (mantissa * stride < 1) {
      mantissa *= stride;
      exponent -= bits;
    }
  }
  if (mantissa > Math.SQRT2) {
    mantissa *= 0.5;
    exponent += 1;
  } else if (mantissa < Math.SQRT1_2) {
    mantissa *= 2;
    exponent -= 1;
  }
  // ln m = 2 artanh((m − 1)/(m + 1)); |s| ≤ 0.172, so s^21 is below 1e-16.
  const s = (mantissa - 1) / (mantissa + 1);
  const z = s * s;
  let series = 1 / 15 + z * (1 / 17 + z * (1 / 19 + z * (1 / 21)));
  series = 1 / 7 + z * (1 / 9 + z * (1 / 11 + z * (1 / 13 + z * series)));
  series = 1 + z * (1 / 3 + z * (1 / 5 + z * series));
  return exponent * LN2 + 2 * s * series;
}

/** base^power for base > 0, by exp and log above. */
export function power(base: number, exponent: number): number {
  return exp(exponent * log(base));
}

/** Cube root of x ≥ 0, by exp and log above. */
export function cubeRoot(x: number): number {
  return x > 0 ? exp(log(x) / 3) : 0;
}

/** Arctangent, radians; reduced by halving twice, then a Taylor series; error below 1e-15. */
function arctangent(x: number): number {
  if (x < 0) return -arctangent(-x);
  if (x > 1) return Math.PI / 2 - arctangent(1 / x);
  let t = x;
  for (let i = 0; i < 3; i++) t = t / (1 + Math.sqrt(1 + t * t));
  const z = t * t;
  let series = 1 / 19;
  for (let odd = 17; odd >= 1; odd -= 2) series = 1 / odd - series * z;
  return 8 * t * series;
}

/** Angle of the vector (x, y), radians in (−π, π], counted from x towards y; 0 for the null vector. */
export function atan2(y: number, x: number): number {
  if (x === 0 && y === 0) return 0;
  if (Math.abs(x) >= Math.abs(y)) {
    const a = arctangent(y / x);
    if (x > 0) return a;
    return y >= 0 ? a + Math.PI : a - Math.PI;
  }
  const a = arctangent(x / y);
  return y > 0 ? Math.PI / 2 - a : -Math.PI / 2 - a;
}

/** A figure that is known by its least, its usual and its most. */
export interface ThreePoints {
  low: number;
  usual: number;
  high: number;
}

const MOST_TERMS = 300;
const CLOSE = 1e-14;

/** ln Γ(x) for x > 0, by Lanczos' approximation (g = 7, nine terms; from memory), good to about 15 digits. */
function logGamma(x: number): number {
  const terms = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const shifted = x - 1;
  const sum = terms.reduce((total, term, n) => (n === 0 ? term : total + term / (shifted + n)), 0);
  const t = shifted + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** The continued fraction of the incomplete beta function, by Lentz' method. */
function betaFraction(x: number, a: number, b: number): number {
  const tiny = 1e-300;
  const held = (value: number) => (Math.abs(value) < tiny ? tiny : value);
  let c = 1;
  let d = 1 / held(1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m <= MOST_TERMS; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / held(1 + even * d);
    c = held(1 + even / c);
    fraction *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / held(1 + odd * d);
    c = held(1 + odd / c);
    fraction *= d * c;
    if (Math.abs(d * c - 1) < CLOSE) break;
  }
  return fraction;
}

/** The regularized incomplete beta function I_x(a, b), for 0 ≤ x ≤ 1 and positive a and b. */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x));
  // Each form converges quickly on its own side of the mean.
  return x < (a + 1) / (a + b + 2) ? (front * betaFraction(x, a, b)) / a : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

/**
 * The chance that a figure comes out at most at a value: PERT-beta with λ = 4, as all ranges here are read.
 * @returns 0 to 1; a figure without any width is below a value or not
 */
export function pertBetaCdf(value: number, { low, usual, high }: ThreePoints): number {
  if (high <= low) return value >= usual ? 1 : 0;
  const a = 1 + (4 * (usual - low)) / (high - low);
  const b = 1 + (4 * (high - usual)) / (high - low);
  return incompleteBeta((value - low) / (high - low), a, b);
}

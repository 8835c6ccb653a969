// Taken once: a look into a global object costs more than the sum, where tests run in a box of their own.
const { imul, sqrt, log, cos, PI } = Math;

/** Repeatable chance: the same seed gives the same numbers everywhere. */
export type Chance = { uniform: () => number; normal: () => number };

/**
 * Draws by chance, even from 0 up to 1 or normal (mean 0, spread 1), the same for the same seed on every
 * machine: for the made-up town and for tests, never for a secret.
 *
 * @param seed any whole number; only its low 32 bits count
 * @example chanceFrom(7).uniform() === chanceFrom(7).uniform() // true
 */
export function chanceFrom(seed: number): Chance {
  let state = seed >>> 0;
  const uniform = () => {
    // mulberry32: small, fast, and even enough for made-up homes and weather.
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = imul(t ^ (t >>> 15), t | 1);
    t ^= t + imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
  const normal = () => sqrt(-2 * log(1 - uniform())) * cos(2 * PI * uniform());
  return { uniform, normal };
}

/**
 * Numbers from 0 to 1 that are the same for the same seed (mulberry32).
 *
 * @param seed any whole number
 * @example seeded(7)() // 0.0117
 */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * A draw from the normal distribution, mean 0 and standard deviation 1, out of two even ones (Box and Muller 1958).
 *
 * @param random from 0 up to, but not, 1
 * @example normal(() => 0.25) // 0
 */
export const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

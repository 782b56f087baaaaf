import { InputError } from '../errors/InputError.ts';

/** Probability that Student's t lies within +-t: finite sums for whole degrees of freedom (Abramowitz and Stegun 1964, 26.7.3 and 26.7.4). */
function within(t: number, degrees: number): number {
  const angle = Math.atan(t / Math.sqrt(degrees));
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const isOdd = degrees % 2 === 1;
  let term = isOdd ? cos : 1;
  let sum = degrees === 1 ? 0 : term;
  for (let n = isOdd ? 2 : 1; n <= degrees - 3; n += 2) {
    term *= (n / (n + 1)) * cos * cos;
    sum += term;
  }
  return isOdd ? (2 / Math.PI) * (angle + sin * sum) : sin * sum;
}

/**
 * Student's t for a band of 95 %: the 97.5 % point.
 *
 * @param degrees degrees of freedom, a whole number from 1
 * @throws InputError number.unusable
 * @example student95(7) // 2.364624
 */
export function student95(degrees: number): number {
  if (!Number.isInteger(degrees) || degrees < 1)
    throw new InputError('number.unusable', { field: 'degrees', input: String(degrees) });
  // Beyond that t differs from its limit of 1.959964 in the sixth digit.
  const counted = Math.min(degrees, 100_000);
  let [low, high] = [1.9, 13];
  // 60 halvings reach the last digit of a double.
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (within(middle, counted) < 0.95) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

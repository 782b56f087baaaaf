import { showExact } from '../quantities/show.ts';
import { timedPace } from './pace.ts';

/** Steadier than this on foot is as good as it gets. */
const STEADY = 0.03;

/**
 * How a practised pace went, in a sentence.
 *
 * @param courseM length of the course, m, above 0
 * @param timesS times so far, s, each above 0
 * @param aimS the time to aim for; null: not known
 * @example practiceText(40, [29.1, 28.4, 30.2], 29) // '3 walks: 29.2 s on average, 3.1 % apart. …'
 */
export function practiceText(courseM: number, timesS: readonly number[], aimS: number | null): string {
  if (timesS.length === 0) return aimS === null ? 'Walk the course and press at each end.' : `Walk the course in ${showExact(aimS, 3)} s. Press at each end.`; // prettier-ignore
  const { meanS, scatter } = timedPace(courseM, timesS);
  const walks = `${timesS.length === 1 ? 'One walk' : `${timesS.length} walks`}: ${meanS.toFixed(1)} s on average`;
  const apart = scatter === null ? '' : `, ${showExact(scatter * 100, 2)} % apart`;
  const off = aimS === null ? null : meanS / aimS - 1;
  const aim =
    off === null || Math.abs(off) < 0.02
      ? ''
      : ` ${showExact(Math.abs(off) * 100, 2)} % ${off > 0 ? 'slow' : 'fast'}: aim for ${showExact(aimS!, 3)} s.`;
  const verdict = scatter === null ? ' Walk it twice more.' : scatter <= STEADY ? ' Steady enough.' : ' Not steady yet: count your steps aloud.'; // prettier-ignore
  return `${walks}${apart}.${aim}${verdict}`;
}

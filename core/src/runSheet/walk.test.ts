import { expect, it } from 'vitest';
import { beginRun, blankWalk, logOf, runCautions, tapPass, walkInput, withLog } from './index.ts';

const JOB = '0196334f-f400-732f-8b12-24083fd22f89';

it('passes of an area are held beside those of the others', () => {
  const walk = blankWalk({ job: JOB, holder: 'abc' }, 'us');
  const log = tapPass(beginRun('a', ''), { steadyMs: 0, wallMs: 0 });
  const both = withLog(withLog(walk, log), beginRun('b', ''));
  expect(logOf(both, 'a')).toEqual(log);
  expect(logOf(both, 'c')).toEqual(beginRun('c', ''));
  expect(withLog(both, beginRun('a', '')).logs).toHaveLength(2);
  expect(walkInput.parse(both)).toEqual(both);
});

it('cautions stand at their act, by what is spread and how', () => {
  const ids = (...of: Parameters<typeof runCautions>) => runCautions(...of).map(({ id }) => id);
  const dry = { product: 'dry-fertilizer', isSprayed: false, isCarried: false, isWatered: true } as const;
  expect(ids('fill', dry)).toEqual(['cautions.label', 'cautions.lift', 'cautions.gateShut']);
  expect(ids('fill', { ...dry, isCarried: true })).toContain('cautions.carried');
  expect(ids('open', { ...dry, product: 'granular-carrier' })).toContain('cautions.keepChildrenOff');
  expect(ids('open', { ...dry, isSprayed: true })[0]).toBe('cautions.drift');
  expect(ids('after', dry)).toEqual(['cautions.sweepBack', 'cautions.waterIn']);
});

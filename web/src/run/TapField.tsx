import { Box, chakra } from '@chakra-ui/react';
import { isByTime } from '@steady-scatter/core/machines';
import { paceOfPass } from '@steady-scatter/core/runSheet';
import { say } from '@steady-scatter/words/walk';
import { lengthText, partText } from '../load/texts.ts';
import { howText } from './paceNote.ts';
import type { LegOf, RunProps } from './runProps.ts';

const legText = (leg: LegOf): string => {
  if (leg.zone === 'trim') return say('walk.leg.trim', { number: leg.number });
  const facts = { number: leg.number, part: partText(leg) };
  return leg.zone === 'first' ? say('walk.leg.pass', facts) : say('walk.leg.second', facts);
};

const Tap = chakra('button', {
  base: {
    display: 'block',
    width: '100%',
    minHeight: '230px',
    borderRadius: '16px',
    bg: 'act',
    color: 'act.ink',
    padding: '16px',
    textAlign: 'center',
    _disabled: { bg: 'soft', color: 'ink' },
  },
});

/** The one place to tap: it counts the passes and times each. */
export function TapField({ run, of, units, log: walk, isElsewhere }: RunProps) {
  const { legs } = run.plan;
  const done = walk.log.watch.laps.length;
  const leg = legs[done];
  const aimS = leg ? leg.lengthM / of.sheet.paceMPerS + of.load.turnS : 0;
  const isBegun = walk.isRunning || done > 0 || walk.log.carriedS > 0;
  const what = !leg
    ? say('walk.tap.done')
    : walk.isRunning
      ? say('walk.tap.end', { leg: legText(leg) })
      : isBegun
        ? say('walk.tap.paused')
        : say('walk.tap.begin');
  return (
    <Tap type="button" disabled={!leg || isElsewhere} onClick={walk.tap}>
      <chakra.span display="block" fontSize="20px" fontWeight="semibold">
        {what}
      </chakra.span>
      <chakra.span
        display="block"
        fontFamily="figure"
        fontSize="84px"
        fontWeight="bold"
        lineHeight="1.05"
        fontVariantNumeric="tabular-nums"
      >
        {say('walk.count', { done, all: legs.length })}
      </chakra.span>
      {leg && (
        <chakra.span display="block" fontSize="22px" fontVariantNumeric="tabular-nums">
          {walk.isRunning || walk.log.carriedS > 0
            ? `${say('walk.seconds', { seconds: Math.floor(walk.elapsedS) })} · `
            : ''}
          {say('walk.aim', { length: lengthText(leg.lengthM, units.length), seconds: Math.round(aimS) })}
        </chakra.span>
      )}
    </Tap>
  );
}

/** How the last pass was walked, and what follows for the ground. */
export function LastPass({ run, of, log: walk }: RunProps) {
  const { laps } = walk.log.watch;
  const [lap, leg] = [laps.at(-1), run.plan.legs[laps.length - 1]];
  if (!lap || !leg || lap.seconds <= 0) return null;
  const flows = isByTime(of.machine?.kind ?? null);
  const { slowBy } = paceOfPass(lap.seconds, {
    lengthM: leg.lengthM,
    paceMPerS: of.sheet.paceMPerS,
    turnS: of.load.turnS,
    flows,
  });
  const how = howText(slowBy);
  return (
    <Box fontSize="19px" fontWeight="semibold" role="status">
      {say('walk.last', {
        seconds: Math.round(lap.seconds),
        how,
        percent: Math.round(Math.abs(slowBy) * 100),
        falls: how === 'on' || !flows ? 'none' : how === 'slow' ? 'heavy' : 'light',
      })}
      {lap.doubtful && <Box fontWeight="normal">{say('walk.last.doubtful')}</Box>}
    </Box>
  );
}

import { Box, Button, chakra } from '@chakra-ui/react';
import { isByTime } from '@steady-scatter/core/machines';
import { paceText } from '@steady-scatter/core/testing';
import { paceOfPass, rateByFill, walkedBy, type AreaRun } from '@steady-scatter/core/runSheet';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { say, speak } from '@steady-scatter/words/walk';
import type { RunUnits } from '../load/LoadTable.tsx';
import { fillEndText, lengthText, partText } from '../load/texts.ts';
import { unitsOf } from '../load/unitsOf.ts';
import { useRunSheet, type RunOfSheet } from '../load/useRunSheet.ts';
import { useSheet } from '../sheet/sheet.tsx';
import { Choice } from '../ui/Choice.tsx';
import { loadAllParts } from '../ui/lazyPart.ts';
import { useAwake } from '../ui/useAwake.ts';
import { shownIn } from '../units/shownIn.ts';
import { Beat } from './Beat.tsx';
import { howText, ON_PACE } from './paceNote.ts';
import { useRunLog } from './useRunLog.ts';

interface Props {
  run: AreaRun;
  of: RunOfSheet;
  units: RunUnits;
  job: string;
}
type Walk = ReturnType<typeof useRunLog>;
type LegOf = AreaRun['plan']['legs'][number];

const legText = (leg: LegOf): string => {
  if (leg.zone === 'trim') return say('walk.leg.trim', { number: leg.number });
  const facts = { number: leg.number, part: partText(leg) };
  return leg.zone === 'first' ? say('walk.leg.pass', facts) : say('walk.leg.second', facts);
};

/** What is set and loaded for the pass under way. */
function Head({ run, of, units, leg, fill }: Props & { leg: LegOf | undefined; fill: number }) {
  const zone = run.zones.find((each) => each.zone === leg?.zone) ?? run.zones[0];
  const amount = run.fills[fill]?.amountSi ?? run.zones.reduce((sum, { loadSi }) => sum + loadSi, 0);
  const mark = zone?.setting?.mark;
  return (
    <Box>
      <Box fontFamily="figure" fontSize="40px" fontWeight="bold" lineHeight="1.1">
        {mark ? say('walk.set', { mark }) : say('walk.setNone')}
      </Box>
      <Box fontSize="18px">
        {say('walk.head', {
          pace: speak(paceText(of.sheet.paceMPerS, units.length)),
          spacing: lengthText(run.plan.spacingM, units.length),
        })}
      </Box>
      <Box fontSize="18px" fontWeight="bold">
        {say('walk.load', {
          fill: run.fills.length > 1 ? String(fill + 1) : 'none',
          amount: shownIn(amount, units.fill),
        })}
      </Box>
    </Box>
  );
}

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
function TapField({ run, of, units, walk }: Props & { walk: Walk }) {
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
    <Tap type="button" disabled={!leg} onClick={walk.tap}>
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
function LastPass({ run, of, walk }: Pick<Props, 'run' | 'of'> & { walk: Walk }) {
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

/** Where fills should end, and what those that ended say of the rate. */
function FillMarks({ run, of, units, walk }: Props & { walk: Walk }) {
  const { empties, watch } = walk.log;
  const next = run.fills[empties.length];
  const walked = walkedBy(run.plan.legs, watch.laps.length, walk.elapsedS, of.sheet.paceMPerS);
  const since = walked - (empties.at(-1) ?? 0);
  return (
    <Box fontSize="18px" display="grid" gap="6px">
      {empties.map((metres, at) => {
        const fill = run.fills[at];
        const lasted = metres - (empties[at - 1] ?? 0);
        if (!fill || lasted <= 0) return null;
        const off = rateByFill(fill.amountSi, lasted, fill.amountSi / fill.metres) - 1;
        const how = Math.abs(off) < ON_PACE ? 'on' : off > 0 ? 'heavy' : 'light';
        return (
          <Box key={metres} fontWeight="semibold">
            {say('walk.fill.is', {
              number: at + 1,
              metres: lengthText(lasted, units.length),
              meant: lengthText(fill.metres, units.length),
              how,
              percent: Math.round(Math.abs(off) * 100),
            })}
          </Box>
        );
      })}
      {next?.end && (
        <Box display="flex" flexWrap="wrap" gap="8px 14px" alignItems="center">
          {say('walk.fill.should', { number: empties.length + 1, where: fillEndText(next, units.length) })}
          <Button minHeight="56px" disabled={since <= 0} onClick={() => walk.noteEmpty(walked)}>
            {say('walk.fill.empty')}
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** A run of one area. */
function Walked(props: Props) {
  const { run, of, units, job } = props;
  const walk = useRunLog(job, run.id);
  useAwake(walk.isRunning);
  // Whoever goes out with it has all of the app along.
  useEffect(() => void loadAllParts(), []);
  const done = walk.log.watch.laps.length;
  const leg = run.plan.legs[Math.min(done, run.plan.legs.length - 1)];
  return (
    <Box display="grid" gap="16px">
      <Head {...props} leg={leg} fill={walk.log.empties.length} />
      <TapField {...props} walk={walk} />
      <LastPass run={run} of={of} walk={walk} />
      <FillMarks {...props} walk={walk} />
      <Box display="flex" flexWrap="wrap" gap="10px">
        <Button minHeight="56px" disabled={!walk.isRunning} onClick={walk.pause}>
          {say('walk.pause')}
        </Button>
        <Button minHeight="56px" disabled={done === 0} onClick={walk.untap}>
          {say('walk.undo')}
        </Button>
        <Button
          minHeight="56px"
          variant="ghost"
          disabled={done === 0 && !walk.isRunning}
          onClick={walk.again}
        >
          {say('walk.again')}
        </Button>
      </Box>
      <Beat paceMPerS={of.sheet.paceMPerS} unit={units.length} />
      <Button asChild variant="solid" minHeight="64px" fontSize="19px">
        <Link to={`/jobs/${job}/after`}>{say('walk.finish')}</Link>
      </Button>
      {!window.isSecureContext && (
        <Box fontSize="15px" color="ink.soft">
          {say('walk.offline')}
        </Box>
      )}
    </Box>
  );
}

/** The stop of the run: passes counted by a tap, each timed, fills marked; on the phone that goes along. */
export default function RunStop() {
  const { id = 'new' } = useParams();
  const of = useRunSheet();
  const { answer, worksheet } = useSheet();
  const [area, setArea] = useState('');
  const { areas, readiness } = of.sheet;
  const run = areas.find((each) => each.id === area) ?? areas[0];
  if (!run || id === 'new') {
    const what = of.sheet.obstacles
      .filter(({ mayOverride }) => !mayOverride)
      .map(({ message }) => speak(message))
      .join(' ');
    return (
      <Box fontSize="18px">
        {say('walk.lacks', { what })}{' '}
        <Link to={id === 'new' ? '/new/load' : `/jobs/${id}/load`}>{say('walk.toLoad')}</Link>
      </Box>
    );
  }
  return (
    <Box maxWidth="560px" display="grid" gap="14px">
      {readiness !== 'ready' && (
        <Box fontSize="17px" color="warn" fontWeight="semibold">
          {say('walk.notReady')} <Link to={`/jobs/${id}/load`}>{say('walk.toLoad')}</Link>
        </Box>
      )}
      {areas.length > 1 && (
        <Choice
          label={say('walk.area')}
          value={run.id}
          options={areas.map((each) => ({ id: each.id, label: each.name }))}
          onChange={setArea}
        />
      )}
      <Walked key={run.id} run={run} of={of} units={unitsOf(worksheet, answer, of)} job={id} />
    </Box>
  );
}

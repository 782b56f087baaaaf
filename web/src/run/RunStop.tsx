import { Box, Button } from '@chakra-ui/react';
import { systemOf } from '@steady-scatter/core/quantities';
import type { AreaRun } from '@steady-scatter/core/runSheet';
import { paceText } from '@steady-scatter/core/testing';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { say, speak } from '@steady-scatter/words/walk';
import { lengthText } from '../load/texts.ts';
import { unitsOf } from '../load/unitsOf.ts';
import { useRunSheet, type RunOfSheet } from '../load/useRunSheet.ts';
import { PhotoField } from '../photos/PhotoField.tsx';
import { useSheet } from '../sheet/sheet.tsx';
import { Choice } from '../ui/Choice.tsx';
import { NotesField } from '../ui/formParts.tsx';
import { loadAllParts } from '../ui/lazyPart.ts';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { useAwake } from '../ui/useAwake.ts';
import { shownIn } from '../units/shownIn.ts';
import { Beat } from './Beat.tsx';
import { BeforeStart } from './BeforeStart.tsx';
import { FillMarks } from './FillMarks.tsx';
import type { LegOf, RunProps } from './runProps.ts';
import { LastPass, TapField } from './TapField.tsx';
import { useRunLog, useWalk, type Walk } from './useWalk.ts';

/** What is set and loaded for the pass under way. */
function Head({ run, of, units, leg, fill }: RunProps & { leg: LegOf | undefined; fill: number }) {
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

/** What can be done with the passes that were counted. */
function Acts({ log, isElsewhere }: RunProps) {
  const done = log.log.watch.laps.length;
  return (
    <Box display="flex" flexWrap="wrap" gap="10px">
      <Button minHeight="56px" disabled={!log.isRunning || isElsewhere} onClick={log.pause}>
        {say('walk.pause')}
      </Button>
      <Button minHeight="56px" disabled={done === 0 || isElsewhere} onClick={log.untap}>
        {say('walk.undo')}
      </Button>
      <Button minHeight="56px" variant="ghost" disabled={(done === 0 && !log.isRunning) || isElsewhere} onClick={log.again}>
        {say('walk.again')}
      </Button>
    </Box>
  ); // prettier-ignore
}

/** What was seen on the way: it goes with the record. */
function OnTheWay({ walk }: { walk: Walk }) {
  const { note, photos } = walk.input;
  return (
    <StatedDefault name={say('walk.notes')} text={say('walk.notes.are', { note: note.trim() || 'none', photos: photos.length })}>
      <Box gridColumn="1 / -1">
        <NotesField label={say('walk.note.label')} value={note} onChange={(text) => walk.set({ note: text })} />
        <Box marginTop="10px"><PhotoField ids={photos} onChange={(ids) => walk.set({ photos: [...ids] })} /></Box>
      </Box>
    </StatedDefault>
  ); // prettier-ignore
}

interface WalkedProps {
  run: AreaRun;
  of: RunOfSheet;
  walk: Walk;
  job: string;
}

/** A run of one area. */
function Walked({ run, of, walk, job }: WalkedProps) {
  const { answer, worksheet } = useSheet();
  const units = unitsOf(worksheet, answer, of);
  const log = useRunLog(walk, run.id);
  const props: RunProps = { run, of, units, log, isElsewhere: walk.isElsewhere };
  useAwake(log.isRunning);
  // Whoever goes out with it has all of the app along.
  useEffect(() => void loadAllParts(), []);
  const done = log.log.watch.laps.length;
  const leg = run.plan.legs[Math.min(done, run.plan.legs.length - 1)];
  return (
    <Box display="grid" gap="16px">
      <Head {...props} leg={leg} fill={log.log.empties.length} />
      <TapField {...props} />
      <LastPass {...props} />
      <FillMarks {...props} />
      <Acts {...props} />
      <OnTheWay walk={walk} />
      <Beat paceMPerS={of.sheet.paceMPerS} unit={units.length} />
      <Button asChild variant="solid" minHeight="64px" fontSize="19px">
        <Link to={`/jobs/${job}/after`}>{say('walk.finish')}</Link>
      </Button>
    </Box>
  );
}

/** Who counts, where it is another device; and what this one cannot do. */
function Told({ walk }: { walk: Walk }) {
  const { by } = walk.input;
  return (
    <>
      {walk.isElsewhere && (
        <Box display="flex" flexWrap="wrap" gap="8px 14px" alignItems="center" fontSize="17px" role="status">
          {say('walk.elsewhere', { by: by.trim() || 'none' })}
          <Button minHeight="56px" onClick={walk.takeOver}>
            {say('walk.takeOver')}
          </Button>
        </Box>
      )}
      {walk.isFull && (
        <Box role="alert" color="warn" fontWeight="semibold">
          {say('walk.full')}
        </Box>
      )}
      {!window.isSecureContext && (
        <Box fontSize="15px" color="ink.soft">
          {say('walk.offline')}
        </Box>
      )}
    </>
  );
}

/** The stop of the run: the weather before it, passes counted by a tap, each timed, fills marked; on the phone that goes along. */
export default function RunStop() {
  const { id = 'new' } = useParams();
  const of = useRunSheet();
  const { areas } = of.sheet;
  if (areas.length === 0 || id === 'new') {
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
  return <RunOf job={id} of={of} />;
}

function RunOf({ job, of }: { job: string; of: RunOfSheet }) {
  const { worksheet } = useSheet();
  const walk = useWalk(job, systemOf(worksheet.need.unit));
  const [area, setArea] = useState('');
  const { areas, readiness } = of.sheet;
  const run = areas.find((each) => each.id === area) ?? areas[0]!;
  return (
    <Box maxWidth="560px" display="grid" gap="14px">
      {readiness !== 'ready' && (
        <Box fontSize="17px" color="warn" fontWeight="semibold">
          {say('walk.notReady')} <Link to={`/jobs/${job}/load`}>{say('walk.toLoad')}</Link>
        </Box>
      )}
      <Told walk={walk} />
      {!walk.input.isBegun && <BeforeStart of={of} walk={walk} />}
      {walk.input.isBegun && areas.length > 1 && (
        <Choice
          label={say('walk.area')}
          value={run.id}
          options={areas.map((each) => ({ id: each.id, label: each.name }))}
          onChange={setArea}
        />
      )}
      {walk.input.isBegun && <Walked key={run.id} run={run} of={of} walk={walk} job={job} />}
    </Box>
  );
}

import { Box, Button } from '@chakra-ui/react';
import type { AreaRun } from '@steady-scatter/core/runSheet';
import { useState } from 'react';
import { say, speak } from '@steady-scatter/words/load';
import { useSheet } from '../sheet/sheet.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Message } from '../ui/Message.tsx';
import { Blocks } from './Blocks.tsx';
import { CoverageLook } from './CoverageLook.tsx';
import { LoadPanel } from './LoadPanel.tsx';
import type { RunUnits } from './LoadTable.tsx';
import { LOOK_NAMES, LOOKS, type Look } from './names.ts';
import { OutBox } from './OutBox.tsx';
import { PlanDrawing } from './PlanDrawing.tsx';
import { planLines } from './planLines.ts';
import { RunSheetPrinted } from './RunSheetPrinted.tsx';
import { unitsOf } from './unitsOf.ts';
import { useRunSheet, type RunOfSheet } from './useRunSheet.ts';
import { WalkFields } from './WalkFields.tsx';

/** Which way the area is looked at. */
const Looks = ({ look, area, onLook }: { look: Look; area: string; onLook(look: Look): void }) => (
  <Box
    display="flex"
    flexWrap="wrap"
    gap="8px"
    role="group"
    aria-label={say('load.looks', { area })}
    data-noprint
  >
    {LOOKS.map((id) => (
      <Button
        key={id}
        minHeight="touch"
        variant={id === look ? 'solid' : 'outline'}
        aria-pressed={id === look}
        onClick={() => onLook(id)}
      >
        {LOOK_NAMES[id]}
      </Button>
    ))}
  </Box>
);

/** Which of the areas is shown. */
function AreaChoice({
  areas,
  run,
  onChoose,
}: {
  areas: readonly AreaRun[];
  run: AreaRun;
  onChoose(id: string): void;
}) {
  if (areas.length < 2) return null;
  const options = areas.map(({ id, name }, index) => ({
    id,
    label: say('load.areaOf', { name, number: index + 1, all: areas.length }),
  }));
  return (
    <Box width="min(320px, 100%)" data-noprint>
      <Choice label={say('load.area')} value={run.id} options={options} onChange={onChoose} />
    </Box>
  );
}

/** Why a drawing is a sketch. */
function SketchNote({ run, of }: { run: AreaRun; of: RunOfSheet }) {
  const { answer } = useSheet();
  if (!run.isSketch) return null;
  const size = answer.reading.areas.find(({ id }) => id === run.id)?.size;
  const shape =
    of.load.areas.get(run.id)?.lengthM != null
      ? 'length'
      : size?.shape.kind === 'rectangle'
        ? 'sides'
        : 'other';
  return (
    <Box fontSize="16px" color="ink.soft" marginBottom="6px">
      {say('load.sketch', { name: run.name, shape })}
    </Box>
  );
}

interface AreaProps {
  run: AreaRun;
  of: RunOfSheet;
  units: RunUnits;
  look: Look;
}

/** An area as it is looked at. */
function AreaLook({ run, of, units, look }: AreaProps) {
  if (look === 'coverage') return <CoverageLook run={run} of={of} units={units} />;
  if (look === 'blocks') return <Blocks run={run} of={of} units={units} />;
  const rounds = new Set(run.plan.legs.flatMap(({ zone, number }) => (zone === 'trim' ? [number] : []))).size;
  return (
    <>
      <PlanDrawing
        run={run}
        label={say('load.plan.label', { name: run.name, passes: run.plan.passes, trims: rounds })}
      />
      <Box fontSize="17px" marginTop="8px">
        {planLines(run, of, units.length).map((line) => (
          <Box key={line}>{line}</Box>
        ))}
      </Box>
      <WalkFields run={run} of={of} />
    </>
  );
}

/** Nothing can be planned yet: what is missing. */
const NothingYet = ({ of }: { of: RunOfSheet }) => (
  <>
    <Message
      heading={say('load.nothing')}
      text={of.sheet.obstacles
        .filter(({ mayOverride }) => !mayOverride)
        .map(({ message }) => speak(message))
        .join(' ')}
    />
  </>
);

/** The stop where a sheet is loaded: its passes, what they would come to, blocks for a beginner, and whether it is ready. */
export default function LoadStop() {
  const of = useRunSheet();
  const { answer, worksheet } = useSheet();
  const [look, setLook] = useState<Look>('passes');
  const [area, setArea] = useState('');
  const { areas } = of.sheet;
  const run = areas.find(({ id }) => id === area) ?? areas[0];
  if (!run) return <NothingYet of={of} />;
  const units = unitsOf(worksheet, answer, of);
  return (
    <>
      <Box
        display={{ base: 'grid', _print: 'none' }}
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(340px, 440px)' }}
        gap={{ base: '20px', lg: '32px' }}
        alignItems="start"
      >
        <Box minWidth={0}>
          <Box
            display="flex"
            flexWrap="wrap"
            gap="8px 20px"
            alignItems="end"
            justifyContent="space-between"
            marginBottom="12px"
          >
            <Looks look={look} area={run.name} onLook={setLook} />
            <AreaChoice areas={areas} run={run} onChoose={setArea} />
          </Box>
          <SketchNote run={run} of={of} />
          <AreaLook key={run.id} run={run} of={of} units={units} look={look} />
        </Box>
        <Box minWidth={0} display="grid" gap="20px">
          <LoadPanel run={run} of={of} units={units} />
          <OutBox run={run} of={of} units={units} />
        </Box>
      </Box>
      <RunSheetPrinted of={of} units={units} />
    </>
  );
}

import { Box, Button, chakra } from '@chakra-ui/react';
import type { AreaRun } from '@steady-scatter/core/runSheet';
import type { AreaUnit } from '@steady-scatter/core/quantities';
import { useMemo } from 'react';
import { say } from '@steady-scatter/words/load';
import { BareUnit } from '../ui/BareUnit.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { shownIn } from '../units/shownIn.ts';
import type { RunUnits } from './LoadTable.tsx';
import { fitted, GroundShape, useBoxWidth } from './PlanDrawing.tsx';
import { useLoadFields } from './useLoadFields.ts';
import type { RunOfSheet } from './useRunSheet.ts';

interface Props {
  run: AreaRun;
  of: RunOfSheet;
  units: RunUnits;
}

const Numbers = chakra('table', {
  base: {
    fontSize: '17px',
    marginTop: '12px',
    minWidth: '260px',
    '& td, & th': { paddingY: '7px', paddingRight: '26px' },
    '& tbody tr': { borderTopWidth: '1px', borderColor: 'line' },
  },
});

/** Blocks on the ground, numbered, flags at their corners. */
function BlockDrawing({ run }: { run: AreaRun }) {
  const { box, width } = useBoxWidth();
  const points = run.ground.area.flat();
  const fit = useMemo(() => fitted(points, width, 440, 18), [points, width]);
  return (
    <Box ref={box}>
      <svg
        width={width}
        height={fit.height}
        viewBox={`0 0 ${width} ${fit.height}`}
        role="img"
        aria-label={say('load.blocks.label', { name: run.name, count: run.blocks.length })}
        style={{ display: 'block', maxWidth: '100%' }}
      >
        <GroundShape run={run} fit={fit} />
        {run.blocks.map(({ number, ground, middle }) => {
          const { x, y } = fit.at(middle);
          return (
            <g key={number}>
              <path
                d={fit.path(ground)}
                fill="var(--chakra-colors-act)"
                fillOpacity={number % 2 === 0 ? 0.26 : 0.1}
                stroke="var(--chakra-colors-act)"
                strokeWidth="1.5"
                strokeDasharray="5 4"
                fillRule="evenodd"
              />
              <text
                x={x}
                y={y + 6}
                textAnchor="middle"
                fontSize={run.blocks.length > 60 ? 12 : 18}
                fontWeight="700"
                fill="var(--chakra-colors-ink)"
                stroke="var(--chakra-colors-paper)"
                strokeWidth="4"
                paintOrder="stroke"
              >
                {number}
              </text>
            </g>
          );
        })}
      </svg>
    </Box>
  );
}

/** How large a block is: typed, or what one fill covers. */
function BlockSize({ run, of }: Pick<Props, 'run' | 'of'>) {
  const { input, set } = useLoadFields();
  const { block } = input;
  const error = of.load.errors.find(({ field }) => field === 'block.size');
  const { usableSi } = of.sheet;
  const perM2 = run.zones.reduce((sum, { loadSi }) => sum + loadSi, 0) / run.areaM2;
  const oneFill = usableSi === null || !(perM2 > 0) ? null : shownIn(usableSi / perM2, block.unit, 3);
  return (
    <StatedDefault
      name={say('load.blocks.size')}
      text={say('load.blocks.is', { size: shownIn(of.load.blockM2, block.unit) })}
      isWrong={error !== undefined}
    >
      <LabelledField
        label={say('load.blocks.size')}
        value={block.size}
        inputMode="decimal"
        placeholder={block.unit === 'm2' ? '100' : '1000'}
        unit={<BareUnit text={block.size} unit={block.unit} />}
        error={error}
        onChange={(size) => set('block', { ...block, size })}
      />
      {oneFill && (
        <Button minHeight="touch" alignSelf="end" onClick={() => set('block', { ...block, size: oneFill })}>
          {say('load.blocks.oneLoad', { size: oneFill })}
        </Button>
      )}
    </StatedDefault>
  );
}

/** The beginner's way: the area in blocks, each with the load that is weighed out for it. */
export function Blocks({ run, of, units }: Props) {
  const unit: AreaUnit = of.input.block.unit;
  return (
    <>
      <BlockDrawing run={run} />
      <Box fontSize="17px" marginTop="10px">
        {say('load.blocks.how')}
      </Box>
      <BlockSize run={run} of={of} />
      <Numbers>
        <thead>
          <tr>
            <th scope="col">{say('load.blocks.block')}</th>
            <chakra.th scope="col" textAlign="right">
              {say('load.blocks.area')}
            </chakra.th>
            <chakra.th scope="col" textAlign="right">
              {say('load.blocks.load')}
            </chakra.th>
          </tr>
        </thead>
        <tbody>
          {run.blocks.map(({ number, areaM2, amountSi }) => (
            <tr key={number}>
              <th scope="row">{number}</th>
              <chakra.td textAlign="right" fontVariantNumeric="tabular-nums">
                {shownIn(areaM2, unit)}
              </chakra.td>
              <chakra.td textAlign="right" fontVariantNumeric="tabular-nums" fontWeight="bold">
                {shownIn(amountSi, units.amount)}
              </chakra.td>
            </tr>
          ))}
        </tbody>
      </Numbers>
    </>
  );
}

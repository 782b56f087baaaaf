import { Box } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { readPositive } from '@steady-scatter/core/quantities';
import { groundAt, groundRemarks, meanLine } from '@steady-scatter/core/width';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { useStable } from '../ui/useStable.ts';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { Look } from './Look.tsx';
import { Stripes } from './Stripes.tsx';
import { lengthText, type WidthProps } from './widthProps.ts';

const UnevenChart = lazy(() => import('./UnevenChart.tsx'));

const REST_MS = 250;

/** The spacing under the finger: it follows at once, and what is typed changes when the finger rests. */
function useSlide({ typed, on, onChange }: WidthProps) {
  const [slid, setSlid] = useState<string | null>(null);
  const unit = typed.layout.unit;
  const settle = useStable((text: string) => onChange({ ...typed, looked: { text, unit } }));
  useEffect(() => {
    if (slid === null) return undefined;
    const timer = setTimeout(() => {
      settle(slid);
      setSlid(null);
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [slid, settle]);
  const text = slid ?? typed.looked.text;
  const wanted = { kind: 'length', bareUnit: unit, field: 'looked' } as const;
  const typedM = toResult(() => readPositive(text, wanted, 'The pass spacing').si).value;
  return {
    text,
    slide: setSlid,
    /** What is typed counts at once. */
    type(next: string) {
      setSlid(null);
      settle(next);
    },
    lookedM: typedM ?? on.reading.lookedM,
  };
}

/** How even passes are at the spacing that is looked at: the sweep, the slider, four passes with their stripes, and the figures. */
export function AtSpacing(props: WidthProps) {
  const { typed, on } = props;
  const { reading } = on;
  const { pattern, sweeps, throwM } = reading;
  const { text, slide, type, lookedM } = useSlide(props);
  const ground = useMemo(
    () => (pattern && sweeps && lookedM !== null ? groundAt(pattern, lookedM, typed.mode) : null),
    [pattern, sweeps, lookedM, typed.mode],
  );
  if (!pattern || !ground || lookedM === null || throwM === null) return null;
  const mean = meanLine(reading, lookedM, typed);
  return (
    <>
      <Box marginTop="14px">
        <Suspense fallback={<Box height="290px" />}>
          <UnevenChart reading={reading} unit={typed.layout.unit} lookedM={lookedM} />
        </Suspense>
      </Box>
      <Look typed={typed} text={text} lookedM={lookedM} reading={reading} onSlide={slide} onType={type} />
      <Stripes
        pattern={pattern}
        ground={ground}
        spacingM={lookedM}
        mode={typed.mode}
        limit={reading.limit}
        spacing={lengthText(lookedM, typed)}
      />
      {groundRemarks(reading, ground, typed).map((line) => (
        <Box key={line} fontSize="16px" marginTop="6px">
          {line}
        </Box>
      ))}
      {mean && (
        <Box marginTop="8px">
          <WorkingLine working={mean} names={{ mean: 'Mean' }} size="plain" />
        </Box>
      )}
    </>
  );
}

import { lazyPart } from '../ui/lazyPart.ts';
import { Box } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { readPositive } from '@steady-scatter/core/quantities';
import { groundAt, groundRemarks, meanLine } from '@steady-scatter/core/width';
import { Suspense, useEffect, useMemo, useState } from 'react';
import { say, speak } from '@steady-scatter/words/width';
import { message } from '@steady-scatter/core/messages';
import { useStable } from '../ui/useStable.ts';
import { WorkingLine } from '../ui/WorkingLine.tsx';
import { Look } from './Look.tsx';
import { Stripes } from './Stripes.tsx';
import { lengthText, type WidthProps } from './widthProps.ts';

const UnevenChart = lazyPart(() => import('./UnevenChart.tsx'));

const REST_MS = 250;

/** The spacing under the finger: it follows at once, and what is typed changes when the finger rests. */
function useSlide({ input, on, set }: WidthProps) {
  const [slid, setSlid] = useState<string | null>(null);
  const unit = input.layout.unit;
  const settle = useStable((text: string) => set('looked', { text, unit }));
  useEffect(() => {
    if (slid === null) return undefined;
    const timer = setTimeout(() => {
      settle(slid);
      setSlid(null);
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [slid, settle]);
  const text = slid ?? input.looked.text;
  const wanted = { kind: 'length', bareUnit: unit, field: 'looked' } as const;
  const typedM = toResult(() => readPositive(text, wanted, message('errors.what.passSpacing')).si).value;
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
  const { input, on } = props;
  const { reading } = on;
  const { pattern, sweeps, throwM } = reading;
  const { text, slide, type, lookedM } = useSlide(props);
  const ground = useMemo(
    () => (pattern && sweeps && lookedM !== null ? groundAt(pattern, lookedM, input.passPattern) : null),
    [pattern, sweeps, lookedM, input.passPattern],
  );
  if (!pattern || !ground || lookedM === null || throwM === null) return null;
  const mean = meanLine(reading, lookedM, input);
  return (
    <>
      <Box marginTop="14px">
        <Suspense fallback={<Box height="290px" />}>
          <UnevenChart reading={reading} unit={input.layout.unit} lookedM={lookedM} />
        </Suspense>
      </Box>
      <Look input={input} text={text} lookedM={lookedM} reading={reading} onSlide={slide} onType={type} />
      <Stripes
        pattern={pattern}
        ground={ground}
        spacingM={lookedM}
        passPattern={input.passPattern}
        limit={reading.limit}
        spacing={lengthText(lookedM, input)}
      />
      {groundRemarks(reading, ground, input)
        .map(speak)
        .map((line) => (
          <Box key={line} fontSize="16px" marginTop="6px">
            {line}
          </Box>
        ))}
      {mean && (
        <Box marginTop="8px">
          <WorkingLine working={mean} names={{ mean: say('width.at.mean') }} size="plain" />
        </Box>
      )}
    </>
  );
}

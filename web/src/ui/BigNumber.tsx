import { Box, chakra } from '@chakra-ui/react';
import { MISSING } from '@steady-scatter/core/working';
import { useEffect, useState } from 'react';

/** Says a changed answer once typing pauses, not at each keystroke. */
function useCalm(text: string, milliseconds: number): string {
  const [calm, setCalm] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => setCalm(text), milliseconds);
    return () => clearTimeout(timer);
  }, [text, milliseconds]);
  return calm;
}

type Props = { number: string; unit: string; /** Announces changes to people who listen. */ live?: boolean };

/** The one big number of a screen. */
export function BigNumber({ number, unit, live = false }: Props) {
  const spoken = useCalm(`${number} ${unit}`, 1000);
  const size = number.length > 7 || number === MISSING ? '56px' : number.length > 5 ? '72px' : '92px';
  return (
    <>
      <Box
        fontFamily="figure"
        fontWeight="bold"
        fontSize={`min(${size}, 26vw)`}
        lineHeight="0.95"
        letterSpacing="-0.015em"
        css={{ fontStretch: '82%' }}
        fontVariantNumeric="tabular-nums"
        aria-hidden={live}
      >
        {number}
        <chakra.span
          fontSize="min(36px, 10vw)"
          fontWeight="semibold"
          letterSpacing="0"
          marginLeft="10px"
          display="inline-block"
        >
          {unit}
        </chakra.span>
      </Box>
      {live && (
        <chakra.output srOnly aria-live="polite">
          {spoken}
        </chakra.output>
      )}
    </>
  );
}

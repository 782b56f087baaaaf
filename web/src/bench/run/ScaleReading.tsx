import { Box, Button } from '@chakra-ui/react';
import { fromSi, UNITS, type MassUnit } from '@steady-scatter/core/quantities';
import { Scale } from 'lucide-react';
import { useEffect, useState } from 'react';
import { say } from '@steady-scatter/words/bench';
import { useScale, type ScaleShown } from '../../stations/useScale.ts';
import { useStable } from '../../ui/useStable.ts';

const PLACES: Partial<Record<MassUnit, number>> = { oz: 1, g: 0 };
const typed = (kg: number, unit: MassUnit): string => fromSi(kg, unit).toFixed(PLACES[unit] ?? 2);

const shownText = ({ name, isSimulated, nowKg }: ScaleShown, unit: MassUnit): string =>
  say('testRun.scale.shows', { name, how: isSimulated ? 'simulated' : 'real', weight: `${typed(nowKg, unit)} ${UNITS[unit].symbol}` }); // prettier-ignore

/** Takes a weight off the scale that is connected, once it rests. */
export function ScaleReading({ unit, onWeight }: { unit: MassUnit; onWeight(text: string): void }) {
  const [isOn, setOn] = useState(false);
  const [taken, setTaken] = useState('');
  const scale = useScale(isOn);
  const take = useStable((shown: ScaleShown, kg: number) => {
    onWeight(typed(kg, unit));
    setTaken(shownText(shown, unit));
    setOn(false);
  });
  useEffect(() => {
    if (scale && scale.restKg !== null) take(scale, scale.restKg);
  }, [scale, take]);
  return (
    <Box display="flex" gap="10px" alignItems="center" flexWrap="wrap" marginTop="6px">
      <Button minHeight="touch" onClick={() => setOn(!isOn)}>
        <Scale size={18} aria-hidden /> {isOn ? say('testRun.scale.stop') : say('testRun.scale.read')}
      </Button>
      <Box aria-live="polite" fontSize="16px" color={scale === null && isOn ? 'warn' : 'ink.soft'}>
        {isOn && scale === null && say('testRun.scale.silent')}
        {isOn && scale && say('testRun.scale.moves', { what: shownText(scale, unit) })}
        {!isOn && taken}
      </Box>
    </Box>
  );
}

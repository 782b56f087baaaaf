import { Box, Button } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { message } from '@steady-scatter/core/messages';
import { readPositive, type LengthUnit } from '@steady-scatter/core/quantities';
import { useEffect, useState } from 'react';
import { say } from '@steady-scatter/words/walk';
import { signal } from '../bench/run/feedback.ts';
import { BareUnit } from '../ui/BareUnit.tsx';
import { browser } from '../ui/browserStores.ts';
import { LabelledField } from '../ui/LabelledField.tsx';

const STEP = 'steady-scatter.step';

/** A sound, a buzz and a light at every step. */
function useBeat(isOn: boolean, everyS: number | null): boolean {
  const [isLit, setLit] = useState(false);
  useEffect(() => {
    if (!isOn || everyS === null) return undefined;
    const timer = setInterval(() => {
      signal('aim');
      setLit((lit) => !lit);
    }, everyS * 1000);
    return () => clearInterval(timer);
  }, [isOn, everyS]);
  return isOn && isLit;
}

/** The pace as a beat, by the length of one's own step. */
export function Beat({ paceMPerS, unit }: { paceMPerS: number; unit: LengthUnit }) {
  const [isOn, setOn] = useState(false);
  const [step, setStep] = useState(() => browser.getItem(STEP) ?? (unit === 'm' ? '0.75' : '2.5'));
  const read = toResult(() => readPositive(step, { kind: 'length', bareUnit: unit === 'm' ? 'm' : 'ft', field: 'step' }, message('errors.what.step')).si); // prettier-ignore
  const everyS = read.value === null ? null : read.value / paceMPerS;
  const isLit = useBeat(isOn, everyS);
  return (
    <Box display="flex" flexWrap="wrap" gap="10px 14px" alignItems="end">
      <Button minHeight="56px" variant={isOn ? 'solid' : 'outline'} aria-pressed={isOn} onClick={() => setOn(!isOn)}>
        <Box width="16px" height="16px" borderRadius="50%" borderWidth="2px" borderColor="currentColor" bg={isLit ? 'tape' : 'transparent'} aria-hidden />
        {isOn ? say('walk.beat.on') : say('walk.beat.off')}
      </Button>
      <Box width="140px">
        <LabelledField
          label={say('walk.beat.step')}
          value={step}
          inputMode="decimal"
          minHeight="56px"
          unit={<BareUnit text={step} unit={unit === 'm' ? 'm' : 'ft'} />}
          error={read.error ?? undefined}
          onChange={(text) => {
            setStep(text);
            browser.setItem(STEP, text);
          }}
        />
      </Box>
      {everyS !== null && <Box fontSize="16px" color="ink.soft">{say('walk.beat.is', { perMinute: Math.round(60 / everyS) })}</Box>}
    </Box>
  );
} // prettier-ignore

import { Box, Button } from '@chakra-ui/react';
import { AnswerBox } from '../ui/AnswerBox.tsx';
import { showQuantity } from '@steady-scatter/core/quantities';
import type { RigInput } from '@steady-scatter/core/machines';
import { faultsOf, faultTexts, recommendation } from '@steady-scatter/core/width';
import { MISSING } from '@steady-scatter/core/working';
import { useState } from 'react';
import { say, speak } from '@steady-scatter/words/width';
import { BigNumber } from '../ui/BigNumber.tsx';
import { Accept } from './Accept.tsx';
import { AtSpacing } from './AtSpacing.tsx';
import { BeforeAndAfter } from './BeforeAndAfter.tsx';
import { Level } from './Level.tsx';
import { Confidence } from './Confidence.tsx';
import type { WidthProps } from './widthProps.ts';

/** The spacing to pass at and why, what comes of it on the ground, and what to change in the machine. */
export function WidthAnswer({ rig, ...props }: WidthProps & { rig: RigInput | null }) {
  const { input, on } = props;
  const { reading } = on;
  const { recommendedM, pattern, sweeps } = reading;
  const shown = recommendedM === null ? null : showQuantity(recommendedM, input.layout.unit, 3);
  const [isMore, setMore] = useState(false);
  const faults = pattern && sweeps ? faultTexts(faultsOf(pattern, recommendedM, null), rig?.kind ?? 'push-rotary') : []; // prettier-ignore
  return (
    <AnswerBox>
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {input.deflector ? say('width.answer.trim') : say('width.answer.spacing')}
      </Box>
      <BigNumber number={shown?.number ?? MISSING} unit={shown?.unit ?? ''} live />
      <Box fontSize="17px" marginTop="8px">
        {speak(recommendation(reading, input))}
      </Box>
      {sweeps && <Confidence input={input} on={on} />}
      <Accept {...props} />
      <AtSpacing {...props} />
      {faults.length > 0 && (
        <Box marginTop="14px">
          {faults.map((fault) => (
            <Box key={fault.seen.id} fontSize="16px" marginTop="6px">
              <b>▲ {speak(fault.seen)}</b> {speak(fault.try)}
            </Box>
          ))}
          <Box fontSize="16px" marginTop="6px">
            {say('width.answer.changeOne')}
          </Box>
        </Box>
      )}
      {pattern && (
        <Button
          variant="ghost"
          minHeight="44px"
          marginLeft="-12px"
          marginTop="6px"
          aria-expanded={isMore || input.calibration !== '' || input.before !== ''}
          onClick={() => setMore(!isMore)}
        >
          {say('width.answer.more')}
        </Button>
      )}
      {(isMore || input.calibration !== '' || input.before !== '') && (
        <>
          <Level {...props} />
          <BeforeAndAfter {...props} />
        </>
      )}
    </AnswerBox>
  );
}

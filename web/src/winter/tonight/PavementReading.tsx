import { Box, Button } from '@chakra-ui/react';
import { TRENDS, type Trend } from '@steady-scatter/core/winter';
import { useState } from 'react';
import { nameOf, say } from '@steady-scatter/words/winter';
import { BareUnit } from '../../ui/BareUnit.tsx';
import { BigNumber } from '../../ui/BigNumber.tsx';
import { CardChoice } from '../../ui/CardChoice.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { momentText } from '../../ui/momentText.ts';
import { WarningActs, WarningBox } from '../../ui/WarningBox.tsx';
import { degreesRead } from '../degrees.ts';
import type { NightInput } from './nightInput.ts';
import type { Pavement } from './useNight.ts';

interface Props {
  input: NightInput;
  pavement: Pavement;
  set(changed: Partial<NightInput>): void;
}

const sourceText = ({ station, isTyped }: Pavement): string => {
  if (isTyped) return say('winter.night.typed');
  if (!station) return '';
  const { name, isSimulated, now } = station;
  return say('winter.night.from', { name, how: isSimulated ? 'simulated' : 'real', at: momentText(Date.parse(now.at)) }); // prettier-ignore
};

/** What a typed temperature was read on, where that is not known: by air the rate would be wrong. */
function AirQuestion({ set }: Pick<Props, 'set'>) {
  return (
    <WarningBox marginTop="10px">
      {say('winter.night.askAir')}
      <WarningActs>
        <Button minHeight="56px" onClick={() => set({ readOn: 'pavement' })}>
          {say('winter.night.onPavement')}
        </Button>
        <Button minHeight="56px" onClick={() => set({ readOn: 'air' })}>
          {say('winter.night.onAir')}
        </Button>
      </WarningActs>
    </WarningBox>
  );
}

/** The pavement: as the station reads it, or as somebody types it; and where it is going. */
export function PavementReading({ input, pavement, set }: Props) {
  const { degC, trend, station, isTyped, isAsked, isAir, error } = pavement;
  const [wanted, setTyping] = useState(false);
  const isTyping = wanted || isTyped || station === null;
  const [number = '—', unit = ''] = degC === null ? [] : degreesRead(degC, input.unit).split('\u00a0');
  return (
    <Box as="section" aria-label={say('winter.night.pavement')} marginBottom="14px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('winter.night.pavement')}
      </Box>
      <Box display="flex" flexWrap="wrap" alignItems="end" gap="4px 18px">
        <BigNumber number={number} unit={unit} live />
        {trend && (
          <Box fontSize="28px" fontWeight="bold" paddingBottom="6px">
            {say('winter.night.trend', { trend })}
          </Box>
        )}
      </Box>
      <Box display="flex" flexWrap="wrap" alignItems="center" justifyContent="space-between" gap="4px 14px" fontSize="16px">
        <Box>{station === undefined && !isTyped ? say('winter.night.asking') : sourceText(pavement)}</Box>
        {!isTyping && (
          <Button minHeight="56px" onClick={() => setTyping(true)}>{say('winter.night.type')}</Button>
        )}
        {isTyping && station && (
          <Button
            minHeight="56px"
            onClick={() => {
              setTyping(false);
              set({ pavement: '', readOn: '', trend: '' });
            }}
          >
            {say('winter.night.useStation')}
          </Button>
        )}
      </Box>
      {isTyping && (
        <Box marginTop="10px">
          {station === null && <Box marginBottom="6px">{say('winter.night.noStation')}</Box>}
          <Box maxWidth="240px">
            <LabelledField
              label={say('winter.night.temperature')}
              placeholder={input.unit === 'degF' ? '25' : '-4'}
              minHeight="56px"
              fontSize="22px"
              unit={<BareUnit text={input.pavement.replace(/[-−]/, '')} unit={input.unit} />}
              value={input.pavement}
              error={error}
              onChange={(text) => set({ pavement: text, readOn: '' })}
            />
          </Box>
          {isAsked && <AirQuestion set={set} />}
          {isAir && <WarningBox marginTop="10px">{say('winter.night.isAir')}</WarningBox>}
          <Box marginTop="12px">
            <CardChoice<Trend>
              label={say('winter.night.trendIs')}
              value={trend}
              options={TRENDS.map((id) => ({ id, label: nameOf('trend', id) }))}
              onChange={(next) => set({ trend: next })}
            />
          </Box>
        </Box>
      )}
    </Box>
  );
} // prettier-ignore

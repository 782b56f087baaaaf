import { CURRENCY_PLACES, crewSettings, type CrewSettings } from '@steady-scatter/contract';
import { Box, Button } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { readTolerance } from '@steady-scatter/core/fields';
import { readMeasures } from '@steady-scatter/core/wet';
import { useState } from 'react';
import { say } from '@steady-scatter/words/shell';
import { explain } from '../api/explain.ts';
import { useNotices } from '../notices/notices.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Fields } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { saveCrew, useCrew } from './CrewProvider.tsx';

const PLACES = CURRENCY_PLACES.map((id) => ({ id, label: say('shell.crew.place', { place: id }) }));

/** What the crew settles for all of its devices: its name, its currency, the tolerance that a calibration begins with. */
export function CrewGroup() {
  const crew = useCrew();
  const [typed, setTyped] = useState<CrewSettings | null>(null);
  const notices = useNotices();
  const shown = typed ?? crew;
  const change = (more: Partial<CrewSettings>) => setTyped({ ...shown, ...more });
  const isYearStart = crewSettings.shape.yearStart.safeParse(shown.yearStart).success;
  const measures = toResult(() => readMeasures(shown.measures, 'measures'));
  const isUsable = toResult(() => readTolerance(shown.tolerance, 'tolerance')).error === null;
  async function save() {
    try {
      await saveCrew(shown);
      setTyped(null);
      notices.tell(say('shell.crew.saved'));
    } catch (error) {
      notices.tell(explain(error));
    }
  }
  return (
    <Box>
      <Fields>
        <LabelledField
          label={say('shell.crew.name')}
          value={shown.name}
          onChange={(name) => change({ name })}
        />
        <LabelledField
          label={say('shell.crew.currency')}
          placeholder="$"
          value={shown.currency.symbol}
          onChange={(symbol) => change({ currency: { ...shown.currency, symbol: symbol.slice(0, 8) } })}
        />
        <Choice
          label={say('shell.crew.placeLabel')}
          options={PLACES}
          value={shown.currency.place}
          onChange={(place) => change({ currency: { ...shown.currency, place } })}
        />
        <LabelledField
          label={say('shell.crew.tolerance')}
          inputMode="decimal"
          value={shown.tolerance}
          onChange={(text) => change({ tolerance: text })}
        />
        <LabelledField
          label={say('shell.crew.yearStart')}
          placeholder="01-01"
          value={shown.yearStart}
          onChange={(text) => change({ yearStart: text })}
        />
        <LabelledField
          label={say('shell.crew.measures')}
          placeholder={say('shell.crew.measuresHint')}
          value={shown.measures}
          error={measures.error ?? undefined}
          onChange={(text) => change({ measures: text })}
        />
      </Fields>
      {!isYearStart && (
        <Box role="alert" color="warn" fontWeight="semibold" fontSize="15px">
          {say('shell.crew.yearStartWrong')}
        </Box>
      )}
      {!isUsable && (
        <Box role="alert" color="warn" fontWeight="semibold" fontSize="15px">
          {say('shell.crew.toleranceWrong')}
        </Box>
      )}
      <Button
        minHeight="44px"
        marginTop="10px"
        disabled={typed === null || !isUsable || !isYearStart || measures.error !== null}
        onClick={() => void save()}
      >
        {say('shell.crew.save')}
      </Button>
    </Box>
  );
}

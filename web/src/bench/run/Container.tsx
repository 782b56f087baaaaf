import { textWithUnit } from '@steady-scatter/core/quantities';
import { unitsOf } from '@steady-scatter/core/testing';
import { Box, Button, chakra } from '@chakra-ui/react';
import { say } from '@steady-scatter/words/bench';
import { fieldBox } from '../../ui/fieldBox.ts';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { useCalibrations } from '../../kinds/useCalibrations.ts';
import type { StepProps } from './steps.ts';

const Select = chakra('select', { base: { ...fieldBox, minHeight: 'touch', maxWidth: '100%' } }); // prettier-ignore

/** Containers whose tare was weighed before, the latest weighing of each. */
function useContainers(): { name: string; tare: string }[] {
  const { data: calibrations = [] } = useCalibrations();
  const known = new Map<string, string>();
  for (const { input } of calibrations)
    for (const run of input.runs)
      if (run.container.trim() !== '' && run.readings['tare']) known.set(run.container.trim(), textWithUnit(run.readings['tare'], unitsOf(run, input).mass)); // prettier-ignore
  return [...known].map(([name, tare]) => ({ name, tare }));
}

/** Which container: its tare is remembered under its name; or the scale was zeroed with it. */
export function Container({ run, onType }: StepProps) {
  const known = useContainers();
  const take = (name: string) => {
    const found = known.find((each) => each.name === name);
    if (found) onType({ container: found.name, readings: { ...run.readings, tare: found.tare } });
  };
  return (
    <Box display="grid" gap="10px" marginTop="10px">
      {known.length > 0 && (
        <chakra.label display="block" fontSize="15px" color="ink.soft" fontWeight="semibold">
          {say('testRun.container.known')}
          <br />
          <Select value="" onChange={(event) => take(event.target.value)}>
            <option value="">{say('testRun.container.choose')}</option>
            {known.map(({ name, tare }) => (
              <option key={name} value={name}>
                {name}, {tare}
              </option>
            ))}
          </Select>
        </chakra.label>
      )}
      <LabelledField
        label={say('testRun.container.name')}
        placeholder={say('testRun.container.nameHint')}
        value={run.container}
        minHeight="touch"
        onChange={(container) => onType({ container })}
      />
      <Button
        justifySelf="start"
        minHeight="touch"
        aria-pressed={run.readings['tare'] === '0'}
        onClick={() => onType({ readings: { ...run.readings, tare: '0' } })}
      >
        {say('testRun.container.zeroed')}
      </Button>
    </Box>
  );
}

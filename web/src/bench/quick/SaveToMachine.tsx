import { Box, Button } from '@chakra-ui/react';
import { blankRig, rigKind } from '@steady-scatter/core/machines';
import { calibrationOn, type CalibrationInput } from '@steady-scatter/core/testing';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/bench';
import { saveNew } from '../../documents/saving.ts';
import { RIGS, useRigs } from '../../kinds/useRigs.ts';
import { explain } from '../../api/explain.ts';
import { useSystem } from '../../settings/useSystem.ts';
import { Choice } from '../../ui/Choice.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { dayText } from '../../ui/dayText.ts';
import { today } from '../../ui/today.ts';

const NEW = 'new';

interface Props {
  input: CalibrationInput;
  /** Saves the test as a calibration of a machine. */
  onSave(calibration: CalibrationInput): void;
  onCancel(): void;
}

/** What is asked once a test is worth keeping: whose it is, where its control stood, and of what. */
export function SaveToMachine({ input, onSave, onCancel }: Props) {
  const { data: rigs = [] } = useRigs();
  const system = useSystem();
  const dry = rigs.filter(({ input: rig }) => rigKind(rig.kind).puts !== 'wet');
  const [rig, setRig] = useState<string | null>(null);
  const chosen = rig ?? dry[0]?.id ?? NEW;
  const [name, setName] = useState('');
  const [setting, setSetting] = useState('');
  const [product, setProduct] = useState('');
  const [problem, setProblem] = useState('');

  async function save() {
    if (chosen === NEW && name.trim() === '') {
      setProblem(say('bench.quick.nameMachine'));
      return;
    }
    const known = dry.find(({ id }) => id === chosen)?.input;
    const machine = known ?? { ...blankRig(system), name: name.trim() };
    const id = known ? chosen : newId();
    try {
      if (!known) await saveNew(RIGS, id, machine);
    } catch (error) {
      setProblem(explain(error));
      return;
    }
    onSave({
      ...calibrationOn(input, id, machine),
      name: [machine.name, product.trim() || dayText(today())].join(', ').slice(0, 120),
      product: product.trim(),
      runs: input.runs.map((run) => ({ ...run, setting: setting.trim() })),
    });
  }

  return (
    <Box
      as="form"
      aria-label={say('bench.quick.save')}
      display="grid"
      gap="12px"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Choice
        label={say('bench.aim.machine')}
        value={chosen}
        options={[
          ...dry.map(({ id, input: each }) => ({ id, label: each.name })),
          { id: NEW, label: say('bench.aim.newMachine') },
        ]}
        onChange={setRig}
      />
      {chosen === NEW && (
        <LabelledField
          label={say('bench.quick.machineName')}
          placeholder={say('bench.quick.machineHint')}
          value={name}
          onChange={setName}
          autoFocus
        />
      )}
      <LabelledField
        label={say('bench.run.setting')}
        placeholder="11"
        value={setting}
        onChange={setSetting}
        minHeight="56px"
      />
      <LabelledField
        label={say('bench.aim.product')}
        placeholder={say('bench.aim.productHint')}
        value={product}
        onChange={setProduct}
        minHeight="56px"
      />
      {problem !== '' && (
        <Box role="alert" color="warn" fontWeight="semibold">
          ▲ {problem}
        </Box>
      )}
      <Box display="flex" gap="10px">
        <Button type="button" minHeight="56px" flex="1" onClick={onCancel}>
          {say('bench.quick.cancel')}
        </Button>
        <Button type="submit" variant="solid" minHeight="56px" flex="2">
          {say('bench.quick.saveTest')}
        </Button>
      </Box>
    </Box>
  );
}

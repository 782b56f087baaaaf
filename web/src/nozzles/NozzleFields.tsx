import type { NozzleFacts } from '@steady-scatter/core/machines';
import { say } from '@steady-scatter/words/rigs';
import type { FieldsOf } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { unitChoices } from '../ui/unitChoices.ts';

const FLOWS = unitChoices(['gal/min', 'fl oz/min', 'L/min', 'mL/min']);
const PRESSURES = unitChoices(['psi', 'bar', 'kPa']);

/** What a nozzle lets through, and the pressures that it is made for. */
export function NozzleFields({ bind, field }: Pick<FieldsOf<NozzleFacts>, 'bind' | 'field'>) {
  return (
    <>
      <LabelledField
        label={say('rigs.nozzle.flow')}
        placeholder="0.40"
        inputMode="decimal"
        {...field('flow.text')}
      />
      <Choice label={say('rigs.nozzle.flowUnit')} options={FLOWS} {...bind('flow.unit')} />
      <LabelledField
        label={say('rigs.nozzle.at')}
        placeholder="40"
        inputMode="decimal"
        {...field('at.text')}
      />
      <Choice label={say('rigs.nozzle.pressureUnit')} options={PRESSURES} {...bind('at.unit')} />
      <LabelledField label={say('rigs.nozzle.low')} placeholder="20" inputMode="decimal" {...field('low')} />
      <LabelledField
        label={say('rigs.nozzle.high')}
        placeholder="60"
        inputMode="decimal"
        {...field('high')}
      />
    </>
  );
}

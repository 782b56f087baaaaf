import { blankNozzle, type NozzleInput } from '@steady-scatter/core/machines';
import { say } from '@steady-scatter/words/rigs';
import { DocPage, type DocFormProps } from '../documents/DocPage.tsx';
import { NOZZLES } from '../kinds/useNozzles.ts';
import { useSystem } from '../settings/useSystem.ts';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { NozzleFields } from './NozzleFields.tsx';

/** One nozzle of the crew's table. */
export const NozzleForm = ({ bind, field }: DocFormProps<NozzleInput>) => (
  <>
    <Fields>
      <LabelledField label={say('rigs.nozzle.name')} placeholder={say('rigs.nozzle.nameHint')} {...field('name')} />
      <NozzleFields bind={bind} field={field} />
    </Fields>
    <NotesField label={say('rigs.notes')} {...bind('notes')} />
  </>
); // prettier-ignore

/** A nozzle: its rated flow at a pressure, and the pressures that it is made for. */
export default function NozzlePage() {
  const system = useSystem();
  return (
    <DocPage
      kind={NOZZLES}
      blank={() => blankNozzle(system)}
      renderForm={(props) => <NozzleForm {...props} />}
    />
  );
}

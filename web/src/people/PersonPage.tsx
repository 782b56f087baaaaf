import { blankPerson, licenseOn, type PersonInput } from '@steady-scatter/core/season';
import { say } from '@steady-scatter/words/people';
import { DocPage, type DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { PEOPLE } from '../kinds/usePeople.ts';
import { useSystem } from '../settings/useSystem.ts';
import { BareUnit } from '../ui/BareUnit.tsx';
import { dayText } from '../ui/dayText.ts';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { today } from '../ui/today.ts';

/** "License TH-118, until 30 Jun 2027, ends soon" */
export function licenseText({
  license,
  licenseUntil,
}: Pick<PersonInput, 'license' | 'licenseUntil'>): string {
  const state = licenseOn({ license, licenseUntil }, today());
  return say('people.license.is', { license: license.trim(), until: dayText(licenseUntil) || 'none', state });
}

function PersonForm(props: DocFormProps<PersonInput>) {
  const { input, field, bind } = props;
  return (
    <>
      <Fields>
        <LabelledField label={say('people.name')} placeholder={say('people.name.hint')} {...field('name')} />
        <LabelledField label={say('people.license')} {...field('license')} />
        <LabelledField label={say('people.until')} type="date" {...field('licenseUntil')} />
      </Fields>
      <StatedDefault
        name={say('people.step')}
        text={say('people.step.is', { step: input.step.text.trim() || 'none' })}
        isWrong={isWrongAt(props, 'step.text')}
      >
        <LabelledField
          label={say('people.step')}
          inputMode="decimal"
          placeholder="2.5"
          unit={<BareUnit text={input.step.text} unit={input.step.unit} />}
          {...field('step.text')}
        />
      </StatedDefault>
      <NotesField label={say('people.notes')} {...bind('notes')} />
    </>
  );
}

/** Somebody of the crew: a name, a license and until when it holds, a step. */
export default function PersonPage() {
  const system = useSystem();
  return (
    <DocPage
      kind={PEOPLE}
      blank={() => blankPerson(system)}
      renderForm={(props) => <PersonForm {...props} />}
    />
  );
}

import { Box, chakra } from '@chakra-ui/react';
import { licenseOn } from '@steady-scatter/core/season';
import { useId } from 'react';
import { say } from '@steady-scatter/words/people';
import { personNamed, usePeople } from '../kinds/usePeople.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { today } from '../ui/today.ts';

interface Props {
  label: string;
  value: string;
  onChange(name: string): void;
}

/** Who does it: one of the crew, offered while it is typed, or somebody else; a license that ended is said. */
export function WhoField({ label, value, onChange }: Props) {
  const people = usePeople();
  const id = useId();
  const person = personNamed(people, value)?.input;
  const state = person ? licenseOn(person, today()) : 'none';
  return (
    <Box>
      <LabelledField label={label} value={value} list={id} minHeight="56px" onChange={onChange} />
      <datalist id={id}>
        {people.map((each) => (
          <option key={each.id} value={each.input.name} />
        ))}
      </datalist>
      {person && state !== 'none' && (
        <Box fontSize="15px" color={state === 'ended' ? 'warn' : 'ink.soft'}>
          {state === 'ended' && <chakra.span aria-hidden>▲ </chakra.span>}
          {say('people.license.short', {
            license: person.license,
            until: person.licenseUntil || 'none',
            state,
          })}
        </Box>
      )}
    </Box>
  );
}

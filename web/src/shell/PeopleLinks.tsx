import { Box } from '@chakra-ui/react';
import { licenseOn } from '@steady-scatter/core/season';
import { say } from '@steady-scatter/words/shell';
import { usePeople } from '../kinds/usePeople.ts';
import { NameLink } from '../ui/NameLink.tsx';
import { today } from '../ui/today.ts';

/** Who works here, each with the way to what is known of him; a license that has ended stands out. */
export default function PeopleLinks({ onGo }: { onGo(): void }) {
  const people = usePeople();
  return (
    <>
      <Box as="ul" listStyleType="none" fontSize="16px">
        {people.map(({ id, input }) => (
          <Box as="li" key={id} minHeight="44px" display="flex" gap="10px" alignItems="center">
            <NameLink to={`/people/${id}`} onClick={onGo}>
              {input.name}
            </NameLink>
            {licenseOn(input, today()) === 'ended' && (
              <Box color="warn">▲ {say('shell.people.licenseEnded')}</Box>
            )}
          </Box>
        ))}
      </Box>
      <NameLink to="/people/new" onClick={onGo}>
        {say('shell.people.add')}
      </NameLink>
    </>
  );
}

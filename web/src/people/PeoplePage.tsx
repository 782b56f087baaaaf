import { say } from '@steady-scatter/words/people';
import { DocList } from '../documents/list/DocList.tsx';
import { PEOPLE } from '../kinds/usePeople.ts';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { licenseText } from './PersonPage.tsx';

/** Everybody of the crew, with the license. */
export default function PeoplePage() {
  return (
    <DocList
      kind={PEOPLE}
      heading={say('people.heading')}
      tabs={<JobsTabs />}
      empty={say('people.teach')}
      columns={[{ header: say('people.license'), by: 'licenseUntil', cell: licenseText }]}
    />
  );
}

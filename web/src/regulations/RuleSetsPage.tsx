import { say } from '@steady-scatter/words/rules';
import { DocList } from '../documents/list/DocList.tsx';
import { ShelfTabs } from '../shell/ShelfTabs.tsx';
import { RULE_SETS } from '../kinds/useRuleSets.ts';

/** The rules that the crew works by, one set for each place or contract. */
export default function RuleSetsPage() {
  return (
    <DocList
      kind={RULE_SETS}
      heading={say('rules.list.heading')}
      tabs={<ShelfTabs />}
      empty={say('rules.list.teach')}
      columns={[
        { header: say('rules.list.rules'), by: 'rules', end: true, cell: ({ rules }) => rules },
        { header: say('rules.list.source'), wide: true, cell: ({ source }) => source || '—' },
      ]}
    />
  );
}

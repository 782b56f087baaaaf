import { DocList } from '../documents/list/DocList.tsx';
import { ShelfTabs } from '../shell/ShelfTabs.tsx';
import { RULE_SETS } from '../kinds/useRuleSets.ts';

/** The rules that the crew works by, one set for each place or contract. */
export default function RuleSetsPage() {
  return (
    <DocList
      kind={RULE_SETS}
      heading="Rules"
      tabs={<ShelfTabs />}
      empty="No rules are typed in yet. Copy them from your code, your contract or your advice: at most 1 lb N on each 1000 ft² at once, say. Every sheet can then be held against them."
      columns={[
        { header: 'Rules', by: 'rules', end: true, cell: ({ rules }) => rules },
        { header: 'From', wide: true, cell: ({ source }) => source || '—' },
      ]}
    />
  );
}

import { evaluateGuide, guideInput } from '@steady-scatter/core/winter';
import { countColumn, dayColumn, kindOf, shortText, whole } from './kind.ts';

/** Rate guides for winter: the crew's own, those of an authority or of a contract. */
export const guides = kindOf({
  name: 'guides',
  path: '/api/guides',
  schema: guideInput,
  upgrades: [],
  evaluate: evaluateGuide,
  columns: {
    source: shortText,
    /** Of its last version: from when it holds, and how many lines it has. */
    fromDay: dayColumn,
    lines: countColumn,
    versions: countColumn,
  },
  sort: 'name',
  summarise: ({ source, versions }) => {
    const last = versions.toSorted((a, b) => b.fromDay.localeCompare(a.fromDay))[0];
    return {
      source,
      fromDay: last?.fromDay ?? '',
      lines: last?.lines.length ?? 0,
      versions: versions.length,
    };
  },
  nameOf: ({ name }) => name,
  textsOf: ({ source, versions }) => whole([source, ...new Set(versions.flatMap(({ lines }) => lines.map(({ situation }) => situation)))]), // prettier-ignore
  linksOf: () => [],
});

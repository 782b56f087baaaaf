// npm run words: all that is said to a person on one page, by the screens that say it, to be read in one sitting; and how much it is.
import { EN } from '@steady-scatter/words/en/catalogue';

const rows = Object.entries(EN).map(([group, messages]) => ({
  group,
  texts: Object.values<string>(messages),
}));
for (const { group, texts } of rows) {
  process.stdout.write(`\n## ${group}\n\n${texts.map((text) => `- ${text}`).join('\n')}\n`);
}
const all = rows.flatMap(({ texts }) => texts);
const longest = all.toSorted((a, b) => b.length - a.length)[0] ?? '';
process.stdout.write(`
${all.length} messages, ${all.reduce((sum, text) => sum + text.split(/\s+/).length, 0)} words; ${rows.map(({ group, texts }) => `${group} ${texts.length}`).join(', ')}.
The longest has ${longest.length} characters: ${longest}
`); // prettier-ignore

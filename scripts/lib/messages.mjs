// What core says: finds each thing to be said in a source, with the names of the facts that it is given.
import { parseSync } from 'vite';

/** @typedef {{ type: string, start: number, [key: string]: any }} Node */
/** @typedef {{ at: string, ids: string[], facts: string[], isWhole: boolean }} MessageAt what is said, its facts, and whether these are all of them */

/**
 * Ids as they stand in a source; `*` for what is put together as the program runs.
 * @param {Node} node @returns {string[]}
 */
const idsOf = (node) => {
  if (node.type === 'Literal') return [String(node['value'])];
  if (node.type === 'TemplateLiteral') return [node['quasis'].map((/** @type {any} */ part) => part.value.cooked).join('*')];
  return node.type === 'ConditionalExpression' ? [...idsOf(node['consequent']), ...idsOf(node['alternate'])] : [];
}; // prettier-ignore

/** The names of an object's own entries, and whether there may be others. */
const factsOf = (/** @type {Node | undefined} */ node) => {
  const entries = /** @type {Node[]} */ (node?.type === 'ObjectExpression' ? node['properties'] : []);
  const named = entries.filter(({ type }) => type === 'Property');
  return {
    facts: named.map(({ key }) => key.name ?? key.value),
    isWhole: node === undefined || (node.type === 'ObjectExpression' && named.length === entries.length),
  };
};

/** What only errors have: where it is wrong, and what would be right. */
const OF_ERRORS = new Set(['field', 'hint']);

/**
 * What a source says: `message('advice.curve', { rate })`, and the errors that it throws.
 * @param {string} file @param {string} source @returns {MessageAt[]}
 */
export function messagesIn(file, source) {
  const { program } = parseSync(file, source, { lang: file.endsWith('x') ? 'tsx' : 'ts', sourceType: 'module' });
  /** @type {MessageAt[]} */
  const found = [];
  const visit = (/** @type {any} */ node) => {
    if (Array.isArray(node)) return node.forEach(visit);
    if (!node || typeof node !== 'object' || typeof node.type !== 'string') return;
    const [first, second] = node.arguments ?? [];
    const at = () => `${file}:${source.slice(0, node.start).split('\n').length}`;
    if (node.type === 'CallExpression' && node.callee.name === 'message' && first)
      found.push({ at: at(), ids: idsOf(first), ...factsOf(second) });
    if (node.type === 'NewExpression' && node.callee.name === 'InputError' && first) {
      const { facts, isWhole } = factsOf(second);
      found.push({ at: at(), ids: idsOf(first).map((id) => `errors.${id}`), facts: facts.filter((fact) => !OF_ERRORS.has(fact)), isWhole });
    }
    for (const [key, value] of Object.entries(node)) if (key !== 'parent') visit(value);
  };
  visit(program);
  return found;
} // prettier-ignore

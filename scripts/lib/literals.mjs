// What is said to a person stands in the catalogue: finds text that stands in the source of a screen itself.
import { parseSync } from 'vite';

/** Attributes that are read out or shown. */
const SAID = new Set(['aria-label', 'act', 'alt', 'detail', 'empty', 'heading', 'label', 'newLabel', 'placeholder', 'text', 'title']); // prettier-ignore
/** A sentence, or the beginning of one; no path, style, unit or name of a font. */
const SENTENCE = /^[▲●◐○“]? ?(?:[A-Z][a-z’]*[ ,.:]|…[ ,:])/;
const WORDS = /[A-Za-z]{2}[^A-Za-z]+[a-z]{2}/;
const LETTERS = /[A-Za-z]{2}/;
/** The same in every language. */
const NAME = /^\s*(Steady|Scatter|Steady Scatter|&nbsp;)\s*$/;

/** @typedef {{ type: string, start: number, [key: string]: any }} Node */

/** @param {Node} node */
const textOf = ({ type, value, quasis }) =>
  type === 'TemplateLiteral' ? quasis.map((/** @type {any} */ part) => part.value.cooked).join('…') : value;

/** @param {Node} node @param {Node | undefined} parent */
function isSaid(node, parent) {
  if (node.type === 'JSXText') return LETTERS.test(node['value']) && !NAME.test(node['value']);
  if (node.type !== 'TemplateLiteral' && (node.type !== 'Literal' || typeof node['value'] !== 'string')) return false;
  if (parent?.type === 'JSXAttribute') return SAID.has(parent['name'].name) && LETTERS.test(textOf(node));
  // For whoever writes programs.
  if (parent?.type === 'NewExpression' && parent['callee'].name === 'Error') return false;
  return SENTENCE.test(textOf(node)) && WORDS.test(textOf(node)) && !NAME.test(textOf(node));
} // prettier-ignore

/**
 * The texts that stand in a source, with their lines.
 * @param {string} file @param {string} source
 */
export function literalsIn(file, source) {
  const { program } = parseSync(file, source, { lang: file.endsWith('x') ? 'tsx' : 'ts', sourceType: 'module' });
  /** @type {string[]} */
  const found = [];
  /** @param {any} node @param {Node} [parent] */
  const visit = (node, parent) => {
    if (Array.isArray(node)) return node.forEach((each) => visit(each, parent));
    if (!node || typeof node !== 'object' || typeof node.type !== 'string') return;
    if (/^(Import|TS(Type|Interface))/.test(node.type)) return;
    if (isSaid(node, parent)) found.push(`${file}:${source.slice(0, node.start).split('\n').length}: ${String(textOf(node)).trim()}`);
    for (const [key, value] of Object.entries(node)) if (key !== 'parent') visit(value, node);
  };
  visit(program);
  return found;
} // prettier-ignore

import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';

const ACCENTED: Readonly<Record<string, string>> = {
  a: 'á', e: 'é', i: 'í', o: 'ó', u: 'ú', A: 'Á', E: 'É', I: 'Í', O: 'Ó', U: 'Ú', c: 'ç', n: 'ñ', y: 'ý',
}; // prettier-ignore

/** Vowels stand for what is added: text of another language is longer by two fifths. */
const longer = (text: string): string => {
  const accented = text.replace(/[a-zA-Z]/g, (letter) => ACCENTED[letter] ?? letter);
  let due = 0;
  return accented.replace(/\S+/g, (word) => {
    due += word.length * 0.4;
    const added = Math.floor(due);
    due -= added;
    return word + 'ö'.repeat(added);
  });
};

function changed(element: MessageFormatElement): MessageFormatElement {
  if (element.type === TYPE.literal) return { ...element, value: longer(element.value) };
  if (element.type === TYPE.tag) return { ...element, children: element.children.map(changed) };
  if (element.type === TYPE.select || element.type === TYPE.plural) {
    const options = Object.fromEntries(
      Object.entries(element.options).map(([key, option]) => [
        key,
        { ...option, value: option.value.map(changed) },
      ]),
    );
    return { ...element, options };
  }
  return element;
}

/**
 * A message in a language that nobody speaks: accented and longer by two fifths, with the same arguments. It shows what is not in
 * the catalogue, and what does not hold longer text.
 */
export const pseudo = (message: string): MessageFormatElement[] => parse(message).map(changed);

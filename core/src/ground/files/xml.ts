import { message, type Message } from '../../messages/message.ts';
import { SaxesParser } from 'saxes';
import { InputError } from '../../errors/InputError.ts';

/** What a reader is told of an XML file, in its order; names come without their prefix. */
export interface XmlListener {
  open(name: string, attribute: (name: string) => string | undefined): void;
  /** Text between tags, whole. */
  close(name: string, text: string): void;
}

const PIECE = 1 << 18;
const plain = (name: string): string => name.slice(name.indexOf(':') + 1);

/**
 * Reads XML piece by piece. Document types and entities of a file's own are refused, so that nothing in it can grow.
 *
 * @param onShare told after each piece how much is read
 * @returns says the line that is being read, for errors of the listener
 * @throws InputError file.declares, file.broken with the line
 */
export function readXml(
  text: string,
  onShare: (share: number) => void,
  listen: (where: () => Message) => XmlListener,
): void {
  const parser = new SaxesParser();
  const where = () => message('errors.place.line', { line: parser.line });
  const listener = listen(where);
  let words: string[] = [];
  parser.on('doctype', () => {
    throw new InputError('file.declares', { field: 'file', place: where() });
  });
  parser.on('error', ({ message }) => {
    const why = message.replace(/^\d+:\d+:\s*/, '').replace(/\.$/, '');
    // An entity that is not one of XML's five can only come from a declaration.
    const code = /entity/i.test(why) ? 'file.declares' : 'file.broken';
    throw new InputError(code, { field: 'file', place: where(), why });
  });
  parser.on('opentag', ({ name, attributes }) => {
    words = [];
    listener.open(plain(name), (wanted) => (attributes as Record<string, string>)[wanted]);
  });
  parser.on('text', (piece) => words.push(piece));
  parser.on('cdata', (piece) => words.push(piece));
  parser.on('closetag', ({ name }) => {
    listener.close(plain(name), words.join(''));
    words = [];
  });
  for (let index = 0; index < text.length; index += PIECE) {
    parser.write(text.slice(index, index + PIECE));
    onShare(Math.min(1, (index + PIECE) / text.length));
  }
  parser.close();
}

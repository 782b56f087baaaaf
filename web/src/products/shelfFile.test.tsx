import { products } from '@steady-scatter/contract';
import { describe, expect, it, vi } from 'vitest';
import { callDocuments } from '../api/lazyCall.ts';
import MESSY from './messyShelf.csv?raw';
import { shelfFile, type FilePreview } from './shelfFile.ts';

const THERE = { onShelf: ['lake feed 24-0-8'], takeTwice: false };
const file = (body: BlobPart, name = 'shelf.csv') => new File([body], name);
const quiet = () => undefined;

async function look(body: BlobPart, options = THERE): Promise<FilePreview> {
  const result = await shelfFile.preview(file(body), options, quiet);
  if (!('answer' in result)) throw new Error(result.trouble ?? 'It cannot be read.');
  return result.answer;
}

describe('a messy file of products', () => {
  it('is told apart into good rows, bad ones with their reasons, and those that are there already', async () => {
    const found = await look(MESSY);
    expect(found).toMatchObject({
      separator: 'semicolons',
      decimalComma: true,
      good: 2,
      bad: 5,
      twice: 1,
      rows: 8,
      unknown: ['Colour'],
    });
    expect(found.goodRows.map(({ name, price }) => [name, price])).toEqual([
      ['Harbour feed', '31.80'],
      ['Straw 3-1-2', '12.00'],
    ]);
    expect(found.goodRows[0]!.notes).toBe('says "slow";\non two lines');
    const reasonAt = (line: number) => found.badRows.find(({ row }) => row === line)!.reasons.join();
    expect(reasonAt(3)).toContain('adds up to 110 %');
    expect(reasonAt(6)).toContain('is a formula of a spreadsheet');
    expect(reasonAt(7)).toContain('pure potassium chloride has 52.4 %');
    expect(found.twiceRows).toEqual([{ row: 5, name: 'Lake feed 24-0-8' }]);
  });

  it('has what is there twice taken too, where somebody says so', async () => {
    expect(await look(MESSY, { ...THERE, takeTwice: true })).toMatchObject({ good: 3, twice: 1, rows: 8 });
  });

  it('gives its good rows to the server, in one batch under their new ids', async () => {
    vi.mocked(callDocuments).mockResolvedValue(undefined);
    const result = await shelfFile.keepGood(file(MESSY), THERE, quiet);
    const asked = vi.mocked(callDocuments).mock.calls;
    expect(asked.map(([kind, verb]) => [kind.name, verb])).toEqual([[products.name, 'addMany']]);
    const { documents } = asked[0]![2].body as { documents: { id: string; input: { name: string } }[] };
    expect(documents.map(({ input }) => input.name)).toEqual(['Harbour feed', 'Straw 3-1-2']);
    expect(result).toEqual({ answer: documents.map(({ id }) => id) });
  });

  it('that cannot be sent is no file that cannot be read', async () => {
    vi.mocked(callDocuments).mockRejectedValue(new Error('no connection'));
    expect(await shelfFile.keepGood(file(MESSY), THERE, quiet)).toEqual({ trouble: null });
  });
});

it.each([
  ['nothing', '', 'This file is empty'],
  ['no headings', 'a,b\n1,2\n', 'The first line has to name the columns'],
  ['another separator', 'Name^Grade\nFeed^24-0-8\n', 'perhaps its separator is none of'],
  ['a workbook', new Uint8Array([0x50, 0x4b, 3, 4, 0, 0, 0]), 'save as CSV'],
])('a file of %s is refused in a sentence', async (_, body, said) => {
  await expect(look(body)).rejects.toThrow(said);
});

it('tabs, an open quote and letters of an older spreadsheet are read for what they are', async () => {
  const tabs = await look('Name\tGrade\nFeed for tabs\t24-0-8\nOpen "quote\t1-1-1\n');
  expect(tabs).toMatchObject({ separator: 'tabs', good: 2 });
  const latin = Uint8Array.from('Name,Notes\nD\xfcnger,\xbd sack\n', (letter) => letter.charCodeAt(0));
  expect((await look(latin)).goodRows[0]).toMatchObject({ name: 'Dünger', notes: '½ sack' });
});

it('what an export marked as text for a spreadsheet comes back without the mark', async () => {
  expect((await look(`Name,Notes\n'=SUM(A1),'+1\n`)).goodRows[0]).toMatchObject({
    name: '=SUM(A1)',
    notes: '+1',
  });
});

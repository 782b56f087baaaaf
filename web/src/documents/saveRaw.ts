import type { Kind, RawDocument, SummaryHead } from '@steady-scatter/contract';
import { explain } from '../api/explain.ts';
import { callDocuments } from '../api/lazyCall.ts';
import { saveFile } from '../ui/saveFile.ts';
import { oneOf } from '@steady-scatter/words/things';

/** Saves what is stored of a document that cannot be read, as it stands. */
export async function saveRaw(
  kind: Kind,
  { id, name }: SummaryHead,
  tell: (text: string) => void,
): Promise<void> {
  try {
    const raw = (await callDocuments(kind, 'raw', { params: { id } })) as RawDocument;
    saveFile(`${name.trim() || oneOf(kind.name)}.json`, 'application/json', JSON.stringify(raw, null, 2));
  } catch (error) {
    tell(explain(error));
  }
}

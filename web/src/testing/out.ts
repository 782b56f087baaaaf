import { vi } from 'vitest';
import { pdfOf } from '../print/pdf.ts';
import { saveFile } from '../ui/saveFile.ts';

/** The files that a test has saved so far. */
export const savedFiles = (): { name: string; text: string }[] =>
  vi
    .mocked(saveFile)
    .mock.calls.map(([name, , ...pieces]) => ({ name, text: (pieces as string[]).join('') }));

/** What a test has printed so far, each a document as text. */
export const printedPapers = (): string[] =>
  vi.mocked(pdfOf).mock.calls.map(([document]) => JSON.stringify(document));

import bold from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf?url';
import regular from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf?url';
import pdfMake from 'pdfmake/build/pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { standsAlone } from './headingOver.ts';

/** The one face of printed sheets: the same as on the screen. */
export const PRINT_FONT = 'Hyperlegible';

const here = (path: string): string => new URL(path, location.href).href;

pdfMake.addFonts({
  [PRINT_FONT]: { normal: here(regular), bold: here(bold), italics: here(regular), bolditalics: here(bold) },
});
// Fonts come from the app itself, and nothing from anywhere else.
pdfMake.setUrlAccessPolicy((url: string) => url.startsWith(`${location.origin}/`));

/** Points in a millimetre. */
export const PT_PER_MM = 72 / 25.4;

/** The face has no narrow space, which sets thousands apart on the screen, and no small figures, as of P2O5. */
const inTheFace = (document: TDocumentDefinitions): TDocumentDefinitions =>
  JSON.parse(
    JSON.stringify(document)
      .replaceAll('\u202f', '\u00a0')
      .replaceAll(/[\u2080-\u2089]/g, (figure) => String(figure.charCodeAt(0) - 0x2080)),
  ) as TDocumentDefinitions;

/** A document as a PDF file. It is plain data: no functions in it. */
export const pdfOf = (document: TDocumentDefinitions): Promise<Blob> =>
  pdfMake
    .createPdf({
      defaultStyle: { font: PRINT_FONT, fontSize: 11 },
      pageBreakBefore: standsAlone,
      ...inTheFace(document),
    })
    .getBlob();

import {
  measuredLine,
  partName,
  evaluateSite,
  showLength,
  showSize,
  type SiteAreaResult,
  type SiteAreaInput,
  type SiteInput,
} from '@steady-scatter/core/ground';
import { workingText } from '@steady-scatter/core/working';
import type { Content } from 'pdfmake/interfaces';
import { nameOf, say, speak } from '@steady-scatter/words/sites';
import { pdfOf, PRINT_FONT, PT_PER_MM } from '../../print/pdf.ts';
import { planSvg } from './planSvg.ts';

const DRAWING_MM = { width: 180, height: 150 };

const bandOf = (band: string | undefined): string => (band ? ` ±${band}` : '');

/** What keeps clear of what, in a sentence each. */
const edgeLines = (area: SiteAreaInput, reading: SiteAreaResult): string[] =>
  reading.edges.map(({ of, bufferM }, index) => {
    const unit = area.edges[index]?.unit ?? 'm';
    const { number, unit: symbol } = showLength(bufferM, unit);
    return bufferM > 0
      ? say('sites.plan.keep', { distance: number, unit: symbol, edge: nameOf('edge', of) })
      : say('sites.plan.beyond', { edge: nameOf('edge', of) });
  });

function pageOf(area: SiteAreaInput, at: number, reading: SiteAreaResult, isLast: boolean): Content {
  const plan = planSvg(area, reading, DRAWING_MM.width, DRAWING_MM.height, PRINT_FONT);
  const size = reading.treatableM2 === null ? null : showSize(reading.treatableM2, reading.measured.bandM2, area.shownIn); // prettier-ignore
  const line = measuredLine(area, reading);
  const rows = area.parts.map((part, index) => {
    const areaM2 = reading.measured.parts[index]?.areaM2 ?? null;
    const shown = areaM2 === null ? null : showSize(areaM2, 0, area.shownIn);
    return [`${part.cut ? say('sites.plan.less') : ''}${speak(partName(part))}`, { text: shown ? `${shown.number} ${shown.unit}` : '—', alignment: 'right' as const }]; // prettier-ignore
  });
  const facts = `${nameOf('surface', area.surface)}, ${nameOf('slope', area.slope)}${area.treated ? '' : say('sites.plan.notTreated')}`;
  return {
    stack: [
      { text: area.name.trim() || say('sites.area.number', { number: at + 1 }), fontSize: 17, bold: true },
      {
        text: size ? `${size.number} ${size.unit}${bandOf(size.band)}  ` : say('sites.plan.unmeasured'),
        fontSize: 22,
        bold: true,
        margin: [0, 2, 0, 0],
      },
      { text: facts, margin: [0, 0, 0, 6] },
      ...(plan ? [{ svg: plan.svg, width: plan.widthMm * PT_PER_MM }] : []),
      { text: `${speak(line.label)}. ${workingText(line, speak)}`, margin: [0, 6, 0, 6] },
      ...(rows.length > 0
        ? [{ table: { widths: ['*', 'auto'], body: rows }, layout: 'lightHorizontalLines' as const }]
        : []),
      { text: [...edgeLines(area, reading), area.notes].filter(Boolean).join(' '), margin: [0, 6, 0, 0] },
    ],
    ...(isLast ? {} : { pageBreak: 'after' as const }),
  };
}

/**
 * The plan of a site as a PDF, a page for each area, drawn to a scale that a ruler can be held to.
 *
 * @param isSample it is part of the demo, and says so on each page
 */
export function sitePdf(site: SiteInput, isSample: boolean, day: string): Promise<Blob> {
  const reading = evaluateSite(site);
  const head = say('sites.plan.title', {
    site: site.name.trim() || say('sites.plan.site'),
    day,
    sample: isSample ? 'yes' : 'no',
  });
  return pdfOf({
    pageSize: 'A4',
    pageMargins: [42, 48, 42, 42],
    info: { title: head },
    header: { text: head, margin: [42, 22, 42, 0], fontSize: 10 },
    content: site.areas.map((area, index) =>
      pageOf(area, index, reading.areas[index]!, index === site.areas.length - 1),
    ),
  });
}

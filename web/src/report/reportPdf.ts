import type { SeasonSite } from '@steady-scatter/core/plan';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { say } from '@steady-scatter/words/report';
import { headingOver, WHOLE_LINES } from '../print/headingOver.ts';
import { pdfOf } from '../print/pdf.ts';
import { dayText } from '../ui/dayText.ts';
import { siteTables, type ReportTable, type ReportUnits } from './reportTable.ts';

/** What a printed report is of. */
export interface ReportPaper {
  readonly crew: string;
  readonly from: string;
  readonly to: string;
  readonly plan: string;
  readonly sites: readonly SeasonSite[];
  readonly units: ReportUnits;
}

function tableOf({ headings, rows }: ReportTable, hasWhole: boolean): Content {
  const body = rows.map((line, row) =>
    line.map(({ text, warns }, index): TableCell => ({ text: warns ? `${text} *` : text, alignment: index === 0 ? 'left' : 'right', bold: warns !== undefined || (hasWhole && row === rows.length - 1) })),
  );
  return {
    layout: 'lightHorizontalLines',
    fontSize: 8,
    margin: [0, 0, 0, 6],
    table: { ...WHOLE_LINES, widths: headings.map((_, index) => (index === 0 ? 110 : 'auto')), body: [headings.map((text, index): TableCell => ({ text, bold: true, alignment: index === 0 ? 'left' : 'right' })), ...body] },
  };
} // prettier-ignore

function siteTable(site: SeasonSite, units: ReportUnits): Content[] {
  const tables = siteTables(site, units);
  const warned = [...new Set(tables.flatMap(({ rows }) => rows.flat().flatMap(({ warns }) => warns ?? [])))];
  return [
    headingOver(site.siteName || say('report.unnamed')),
    ...tables.map((table) => tableOf(table, site.lines.length > 1)),
    ...(warned.length > 0 ? [{ text: `* ${warned.join(', ')}`, fontSize: 8 }] : []),
  ];
}

/** The report of a season, site by site, as it is printed. */
export const reportPaper = ({ crew, from, to, plan, sites, units }: ReportPaper): TDocumentDefinitions => ({
  pageSize: 'A4',
  pageOrientation: 'landscape',
  pageMargins: [30, 32, 30, 32],
  content: [
    { text: say('report.title'), bold: true, fontSize: 18 },
    { text: [crew, say('report.years', { from: dayText(from), to: dayText(to) }), plan].filter(Boolean).join(' · ') },
    ...sites.flatMap((site) => siteTable(site, units)),
    { text: say('report.notes'), fontSize: 8, margin: [0, 14, 0, 0] },
  ],
}); // prettier-ignore

/** The same as a PDF file. */
export const reportPdf = (paper: ReportPaper): Promise<Blob> => pdfOf(reportPaper(paper));

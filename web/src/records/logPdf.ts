import { NUTRIENTS } from '@steady-scatter/core/need';
import { systemOf, type AreaUnit } from '@steady-scatter/core/quantities';
import { dayOfRow, logReport, type DoneRow, type ReportPart } from '@steady-scatter/core/season';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { say } from '@steady-scatter/words/record';
import { headingOver, WHOLE_LINES } from '../print/headingOver.ts';
import { pdfOf } from '../print/pdf.ts';
import { dayText } from '../ui/dayText.ts';
import { shownIn } from '../units/shownIn.ts';
import { achievedText } from './RecordList.tsx';
import { rowText, weatherText } from './rowText.ts';

const bold = (text: string): TableCell => ({ text, bold: true, fontSize: 9 });

/** What somebody prefers: pounds and acres, or kilograms and hectares. */
const unitsFor = (area: AreaUnit) =>
  systemOf(area) === 'us'
    ? ({ mass: 'lb', volume: 'gal', area: 'acre' } as const)
    : ({ mass: 'kg', volume: 'L', area: 'ha' } as const);

type Units = ReturnType<typeof unitsFor>;

/** One part of the report in a row: how often, how much ground, each product, each nutrient. */
function partRow({ name, count, areaM2, products, nutrients, saltKg, chlorideKg }: ReportPart, units: Units): TableCell[] {
  const put = products.map((each) => `${each.name}: ${shownIn(each.amountSi, each.isLiquid ? units.volume : units.mass)}`);
  const fed = nutrients.map(({ nutrient, kg }) => `${shownIn(kg, units.mass)} ${NUTRIENTS[nutrient].symbol}`);
  const salt = saltKg > 0 ? [say('log.pdf.salt', { salt: shownIn(saltKg, units.mass), chloride: shownIn(chlorideKg, units.mass) })] : [];
  return [name || say('log.pdf.unnamed'), { text: String(count), alignment: 'right' }, { text: shownIn(areaM2, units.area), alignment: 'right' }, put.join('\n'), [...fed, ...salt].join('\n')];
} // prettier-ignore

const partTable = (heading: string, parts: readonly ReportPart[], units: Units): Content[] => [
  headingOver(heading),
  {
    layout: 'lightHorizontalLines',
    fontSize: 10,
    table: {
      ...WHOLE_LINES,
      widths: [120, 40, 60, '*', '*'],
      body: [
        [say('log.pdf.where'), say('log.pdf.times'), say('log.pdf.ground'), say('log.pdf.products'), say('log.pdf.delivered')].map(bold),
        ...parts.map((part) => partRow(part, units)),
      ],
    },
  },
]; // prettier-ignore

/** One record, with all that an inspector asks for. */
const recordRow = (row: DoneRow): TableCell[] => {
  const { input } = row;
  return [
    dayText(dayOfRow(row)),
    [input.areaName, input.siteName].filter(Boolean).join(', '),
    [input.product.name, input.product.grade, input.product.lot && say('log.pdf.lot', { lot: input.product.lot })].filter(Boolean).join(', '),
    [rowText(input), achievedText(row)].filter(Boolean).join('\n'),
    [input.by, input.license].filter(Boolean).join(', '),
    [weatherText(input.weather), input.void && say('log.pdf.void', { why: input.void }), input.correction && !input.void && say('log.pdf.corrected', { why: input.correction }), input.note].filter(Boolean).join('\n'),
  ];
}; // prettier-ignore

/** What a report is of. */
export interface LogPaper {
  readonly crew: string;
  readonly from: string;
  readonly to: string;
  readonly rows: readonly DoneRow[];
  readonly area: AreaUnit;
}

/** The report over records of some days: by site, by whoever spread, and each record. */
export function logPaper({ crew, from, to, rows, area }: LogPaper): TDocumentDefinitions {
  const units = unitsFor(area);
  const { all, sites, people } = logReport(rows);
  return {
    pageSize: 'A4',
    pageOrientation: 'landscape',
    pageMargins: [36, 36, 36, 36],
    content: [
      { text: say('log.pdf.title'), bold: true, fontSize: 18 },
      { text: [crew, say('log.pdf.days', { from: dayText(from), to: dayText(to) }), say('log.pdf.count', { count: all.count })].filter(Boolean).join(' · ') },
      ...partTable(say('log.pdf.bySite'), [...sites, { ...all, name: say('log.pdf.all') }], units),
      ...partTable(say('log.pdf.byPerson'), people, units),
      headingOver(say('log.pdf.records')),
      {
        layout: 'lightHorizontalLines',
        fontSize: 9,
        table: {
          ...WHOLE_LINES,
          widths: [60, 110, 130, 130, 90, '*'],
          body: [[say('log.pdf.day'), say('log.pdf.area'), say('log.pdf.product'), say('log.pdf.amount'), say('log.pdf.by'), say('log.pdf.weather')].map(bold), ...rows.map(recordRow)],
        },
      },
    ],
  };
} // prettier-ignore

/** The same as a PDF file. */
export const logPdf = (paper: LogPaper): Promise<Blob> => pdfOf(logPaper(paper));

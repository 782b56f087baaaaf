import type { AreaRun } from '@steady-scatter/core/runSheet';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { paceText } from '@steady-scatter/core/testing';
import { isThrown } from '@steady-scatter/core/machines';
import { say, speak } from '@steady-scatter/words/load';
import { pdfOf, PRINT_FONT } from '../print/pdf.ts';
import { dayText } from '../ui/dayText.ts';
import { shownIn } from '../units/shownIn.ts';
import type { RunUnits } from './LoadTable.tsx';
import { planSvg } from './planSvg.tsx';
import { fillEndText, lengthText, zoneText } from './texts.ts';
import type { RunOfSheet } from './useRunSheet.ts';

/** What a run sheet on paper is of. */
export interface RunPaper {
  readonly job: string;
  readonly onDay: string;
  readonly product: string;
  readonly of: RunOfSheet;
  readonly units: RunUnits;
  /** Sentences below the drawing of an area. */
  planLines(run: AreaRun): readonly string[];
}

/** A line to tick, with its amount and how long it lasts. */
const tick = (what: string, amount: string, lasts: string): TableCell[] => [
  { canvas: [{ type: 'rect', x: 0, y: 2, w: 12, h: 12, lineWidth: 1 }] },
  { text: what, fontSize: 13 },
  { text: amount, fontSize: 15, bold: true, alignment: 'right' },
  { text: lasts, fontSize: 11, alignment: 'right' },
];

function tableOf(run: AreaRun, { of, units }: RunPaper): TableCell[][] {
  const throws = isThrown(of.machine?.kind ?? null);
  const zones = run.zones.map((zone) =>
    tick(
      [zoneText(zone, run, throws), zone.setting && say('load.zone.set', { mark: zone.setting.mark })]
        .filter(Boolean)
        .join(', '),
      shownIn(zone.amountSi, units.amount),
      lengthText(zone.lengthM, units.length),
    ),
  );
  const fills =
    run.fills.length < 2
      ? []
      : run.fills
          .slice(0, 14)
          .map((fill, index) =>
            tick(
              say(of.sheet.isMix ? 'load.tank.number' : 'load.fill.number', { number: index + 1 }),
              shownIn(fill.amountSi, units.fill),
              fillEndText(fill, units.length),
            ),
          );
  return [...zones, ...fills];
}

/** One area on one page: setting and walking large, what is weighed out to be ticked, the drawing. */
function pageOf(run: AreaRun, at: number, paper: RunPaper): Content {
  const { job, onDay, product, of, units } = paper;
  const field = run.zones.find(({ zone }) => zone !== 'trim') ?? run.zones[0];
  const { ready } = of.input;
  const state =
    of.sheet.readiness === 'ready' && ready
      ? say('load.ready.is', { by: ready.by, day: dayText(ready.onDay) })
      : say('load.pdf.notReady');
  return {
    ...(at > 0 && { pageBreak: 'before' as const }),
    stack: [
      { text: say('load.pdf.page', { job, area: run.name }), bold: true, fontSize: 18 },
      {
        text: [say('load.pdf.day', { day: dayText(onDay) }), product, state].filter(Boolean).join(' · '),
        margin: [0, 0, 0, 6],
      },
      {
        columns: [
          { width: 'auto', text: field?.setting?.mark ?? say('load.set.none'), bold: true, fontSize: 54 },
          {
            width: '*',
            margin: [16, 12, 0, 0],
            fontSize: 15,
            stack: [
              speak(paceText(of.sheet.paceMPerS, units.length)),
              say('load.set.passes', { spacing: lengthText(run.plan.spacingM, units.length) }),
            ],
          },
        ],
      },
      {
        table: { widths: [14, '*', 'auto', 'auto'], body: tableOf(run, paper) },
        layout: 'lightHorizontalLines',
        margin: [0, 6, 0, 8],
      },
      { svg: planSvg(run, run.name, 500, 330), width: 500 },
      ...paper.planLines(run).map((text): Content => ({ text, fontSize: 11, margin: [0, 3, 0, 0] })),
      {
        text: `${say('load.pdf.left')} ______________   ${say('load.pdf.by')} ______________   ${say('load.pdf.done')} ______`,
        margin: [0, 12, 0, 0],
      },
    ],
  };
}

/** The run sheet as a file: one page for each area. */
export const runPdf = (paper: RunPaper): Promise<Blob> =>
  pdfOf({
    info: { title: paper.job },
    pageSize: 'LETTER',
    pageMargins: [40, 40, 40, 36],
    defaultStyle: { font: PRINT_FONT, fontSize: 11 },
    content: paper.of.sheet.areas.map((run, index) => pageOf(run, index, paper)),
  });

import { Box, Button } from '@chakra-ui/react';
import { readPlace, type Place } from '@steady-scatter/core/ground';
import { passesGeoJson, passesGpx, runTable, type AreaRun } from '@steady-scatter/core/runSheet';
import { areaUnitFor } from '@steady-scatter/core/fields';
import { toResult } from '@steady-scatter/core/errors';
import { FileDown } from 'lucide-react';
import { Link } from 'react-router';
import { say, speak } from '@steady-scatter/words/load';
import { explain } from '../api/explain.ts';
import { loadPart } from '../api/lazyCall.ts';
import { useNotices } from '../notices/notices.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { saveCsv } from '../ui/saveCsv.ts';
import { saveFile } from '../ui/saveFile.ts';
import { Section } from '../ui/Section.tsx';
import type { RunUnits } from './LoadTable.tsx';
import { planLines } from './planLines.ts';
import { partText } from './texts.ts';
import type { RunOfSheet } from './useRunSheet.ts';

interface Props {
  run: AreaRun;
  of: RunOfSheet;
  units: RunUnits;
}

/** Where the drawing of an area lies on the earth; null: nobody said. */
function usePlace({ run, of }: Pick<Props, 'run' | 'of'>): Place | null {
  const { worksheet } = useSheet();
  const from = worksheet.areas.find(({ id }) => id === run.id)?.from;
  const site = of.sites.find(({ id }) => id === from?.site);
  return run.isPlaced && site ? toResult(() => readPlace(site.input.place, 'place')).value : null;
}

const legName: Parameters<typeof passesGeoJson>[2] = (leg) => {
  const facts = { number: leg.number, part: partText(leg) };
  if (leg.zone === 'trim') return say('load.track.trim', { number: leg.number });
  return say(leg.zone === 'first' ? 'load.track.pass' : 'load.track.second', facts);
};

/** The run sheet in files: to print, to draw, to walk by. */
export function OutBox({ run, of, units }: Props) {
  const form = useSheetForm();
  const notices = useNotices();
  const place = usePlace({ run, of });
  const named = (what: string, ending: string) =>
    `${form.getValues('name') || what} ${run.name} ${what}.${ending}`;
  const pdf = async () => {
    try {
      const { runPdf } = await loadPart(() => import('./runPdf.ts'));
      const {
        name,
        onDay,
        worksheet: { product },
      } = form.getValues();
      const file = await runPdf({
        job: name || product.name,
        onDay,
        product: product.name || product.grade,
        of,
        units,
        planLines: (area) => planLines(area, of, units.length),
      });
      saveFile(`${name || product.name} ${say('load.file.sheet')}.pdf`, 'application/pdf', file);
    } catch (error) {
      notices.tell(explain(error));
    }
  };
  const svg = async () => {
    const { planSvg } = await loadPart(() => import('./planSvg.tsx'));
    saveFile(named(say('load.file.plan'), 'svg'), 'image/svg+xml', planSvg(run, run.name, 1000, 800));
  };
  const csv = () => {
    const tableUnits = { amount: units.amount, area: areaUnitFor(units.length), length: units.length };
    saveCsv(named(say('load.file.sheet'), 'csv'), runTable(of.sheet, tableUnits, speak));
  };
  return (
    <Section heading={say('load.out')} noPrint>
      <Box display="flex" flexWrap="wrap" gap="8px">
        <Act label={say('load.out.pdf')} onClick={() => void pdf()} />
        <Act label={say('load.out.csv')} onClick={csv} />
        <Act label={say('load.out.svg')} onClick={() => void svg()} />
        {place && (
          <Act
            label={say('load.out.geojson')}
            onClick={() =>
              saveFile(
                named(say('load.file.plan'), 'geojson'),
                'application/geo+json',
                passesGeoJson([run], place, legName),
              )
            }
          />
        )}
        {place && (
          <Act
            label={say('load.out.gpx')}
            onClick={() =>
              saveFile(named(say('load.file.plan'), 'gpx'), 'application/gpx+xml', passesGpx([run], place))
            }
          />
        )}
        <Button asChild variant="ghost" minHeight="touch">
          <Link to="/jobs/order">{say('load.out.order')}</Link>
        </Button>
      </Box>
      {!place && (
        <Box fontSize="15px" color="ink.soft" marginTop="6px">
          {say('load.out.noPlace')}
        </Box>
      )}
    </Section>
  );
}

const Act = ({ label, onClick }: { label: string; onClick(): void }) => (
  <Button variant="outline" minHeight="touch" onClick={onClick}>
    <FileDown size={18} aria-hidden /> {label}
  </Button>
);

import { Button } from '@chakra-ui/react';
import type { calibrations, ReadableOf } from '@steady-scatter/contract';
import { UNITS } from '@steady-scatter/core/quantities';
import { adviceText, type BenchRateUnit } from '@steady-scatter/core/testing';
import { MISSING } from '@steady-scatter/core/working';
import { Timer } from 'lucide-react';
import { Link } from 'react-router';
import { say, speak } from '@steady-scatter/words/bench';
import { DocList } from '../documents/list/DocList.tsx';
import type { ListColumn } from '../documents/list/listColumns.ts';
import { useDoc } from '../documents/docs.ts';
import { useApplications } from '../kinds/useApplications.ts';
import { PRODUCTS } from '../kinds/useProducts.ts';
import { useWinterFrom } from '../kinds/useWinters.ts';
import { useRigs } from '../kinds/useRigs.ts';
import { dayText } from '../ui/dayText.ts';
import { BenchTabs } from '../shell/BenchTabs.tsx';
import { calibrationContext, driftSide, useMachineShelf } from './calibrationContext.ts';
import { ageOf, FRESH_WORDS } from './SignOff.tsx';
import { AIMS, useAimsOf } from '../kinds/useCalibrations.ts';

type Line = ReadableOf<typeof calibrations>;

/** What to set next on a machine whose calibration is not signed off yet: it is worked out from its runs. */
function NextMark({ id, rig }: Pick<Line, 'id' | 'rig'>) {
  const shelf = useMachineShelf(rig);
  const input = shelf.calibrations.find((each) => each.id === id)?.input;
  if (!input) return rig === '' ? say('bench.list.noMachine') : MISSING;
  if (input.runs.length === 0) return say('bench.list.notBegun');
  const { reading, product } = calibrationContext(input, shelf, id);
  const text = adviceText(reading, input, product?.kind);
  return text
    ? say('bench.list.next', { act: text.act.toLowerCase(), mark: text.mark })
    : say('bench.list.noMachine');
}

/** Whether a chart still holds: by its machine and its product as they are now. */
function Holds({ id, rig, productId }: Pick<Line, 'id' | 'rig' | 'productId'>) {
  const { data: aims } = useAimsOf(rig);
  const { data: rigs } = useRigs();
  const { data: product } = useDoc(PRODUCTS, productId === '' ? null : productId);
  const winterFrom = useWinterFrom();
  const done = useApplications(null) ?? [];
  const input = aims?.find((each) => each.id === id)?.input;
  if (!input) return MISSING;
  const machine = rigs?.find((each) => each.id === rig)?.input ?? null;
  const { state, reasons } = ageOf(input, { rig: machine, product: product?.input ?? null, winterFrom, drift: driftSide(done, rig, product?.input.name ?? '') }); // prettier-ignore
  return state === 'none' ? MISSING : [FRESH_WORDS[state], ...reasons.slice(0, 1).map(speak)].join(': ');
}

const COLUMNS: readonly ListColumn<Line>[] = [
  {
    header: say('bench.list.rate'),
    end: true,
    wide: true,
    cell: ({ target, targetUnit }) => (target ? `${target} ${UNITS[targetUnit as BenchRateUnit].symbol}` : MISSING), // prettier-ignore
  },
  {
    header: say('bench.list.setting'),
    by: 'signedOn',
    cell: ({ id, rig, setting, signedOn }) =>
      setting ? (
        say('bench.list.signed', { setting, day: dayText(signedOn) })
      ) : (
        <NextMark id={id} rig={rig} />
      ),
  },
  {
    header: say('bench.list.chart'),
    wide: true,
    cell: ({ id, rig, productId, signedOn }) =>
      signedOn ? <Holds id={id} rig={rig} productId={productId} /> : MISSING,
  },
];

/** All calibrations of the crew: which machine, for what, how it stands, and whether it still holds. */
export default function BenchPage() {
  return (
    <DocList
      kind={AIMS}
      heading={say('bench.list.heading')}
      tabs={<BenchTabs />}
      renderActs={() => (
        <Button asChild>
          <Link to="/bench/quick">
            <Timer size={18} /> {say('bench.quick.title')}
          </Link>
        </Button>
      )}
      empty={say('bench.list.teach')}
      columns={COLUMNS}
    />
  );
}

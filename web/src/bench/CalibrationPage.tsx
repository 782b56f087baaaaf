import {
  blankCalibration,
  calibrationFor,
  calibrationOn,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import { useLocation, useParams, useSearchParams } from 'react-router';
import { DocPage } from '../documents/DocPage.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { useShelf } from '../kinds/useShelf.ts';
import { useRigs } from '../kinds/useRigs.ts';
import type { BenchShelf } from './calibrationContext.ts';
import { CalibrationForm } from './CalibrationForm.tsx';
import { CardActs } from './cards/CardActs.tsx';
import { HandOver } from './HandOver.tsx';
import { CALIBRATIONS } from '../kinds/useCalibrations.ts';
import { useCrew } from '../settings/CrewProvider.tsx';

/** A new calibration as it was asked for from a sheet: its machine, product and rate, and the chart whose shape is a first guess. */
function useAsked({ rigs, products }: Pick<BenchShelf, 'rigs' | 'products'>) {
  const [parameters] = useSearchParams();
  return (blank: CalibrationInput): CalibrationInput => {
    const of = (name: string) => parameters.get(name) ?? '';
    const name = of('product');
    const product = products.find(({ input }) => input.name !== '' && name.startsWith(input.name));
    const rig = rigs.find(({ id }) => id === of('machine'));
    const onMachine = rig ? calibrationOn(blank, rig.id, rig.input) : blank;
    const forProduct = product
      ? calibrationFor(onMachine, product.id, product.input, rig?.input.name ?? '')
      : { ...onMachine, product: name };
    const shape = of('shape');
    return {
      ...forProduct,
      name: [rig?.input.name, name].filter(Boolean).join(', ').slice(0, 120),
      target: { ...forProduct.target, amount: of('rate') },
      shape,
      start: shape === '' ? forProduct.start : 'shape',
    };
  };
}

/** A machine calibrated for a product: what is wanted, its test runs, what to set, and its card. */
export default function CalibrationPage() {
  const system = useSystem();
  const { tolerance } = useCrew();
  const { id = null } = useParams();
  const { data: rigs = [], isFetching } = useRigs();
  const { data: products = [] } = useShelf();
  const asked = useAsked({ rigs, products });
  const { search } = useLocation();
  // What it is asked for with has to have come; a machine that was made a moment ago is on its way.
  const machine = new URLSearchParams(search).get('machine');
  const isComing =
    rigs.length === 0 || (machine !== null && isFetching && !rigs.some((rig) => rig.id === machine));
  if (id === null && search !== '' && isComing) return null;
  return (
    <DocPage
      kind={CALIBRATIONS}
      wide
      askedAs={id === null && search !== '' ? search : undefined}
      blank={() => asked({ ...blankCalibration(system), tolerance })}
      renderForm={(props) => <CalibrationForm {...props} id={id} />}
      renderActs={({ id: kept, input }) => (
        <>
          <HandOver path={`/bench/${kept}/run`} />
          <CardActs id={kept} guide={input.guide} signOff={input.signOff} />
        </>
      )}
    />
  );
}

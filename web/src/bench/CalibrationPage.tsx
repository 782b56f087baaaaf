import { blankCalibration } from '@steady-scatter/core';
import { useParams } from 'react-router';
import { DocPage } from '../kept/DocPage.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { useBenchShelf } from './benchOf.ts';
import { CalibrationForm } from './CalibrationForm.tsx';
import { CardAct } from './cards/CardAct.tsx';
import { HandOver } from './HandOver.tsx';
import { CALIBRATIONS } from './useCalibrations.ts';

/** A machine calibrated for a product: what is wanted, its rounds, what to set, and its card. */
export default function CalibrationPage() {
  const system = useSystem();
  const { id = null } = useParams();
  // Asked for together with the calibration itself, not after it.
  useBenchShelf();
  return (
    <DocPage
      kind={CALIBRATIONS}
      wide
      blank={() => blankCalibration(system)}
      renderForm={(props) => <CalibrationForm {...props} id={id} />}
      renderActs={({ id: kept, typed }) => (
        <>
          <HandOver path={`/bench/${kept}/run`} />
          {typed.signOff && <CardAct id={kept} />}
        </>
      )}
    />
  );
}

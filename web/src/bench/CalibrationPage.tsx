import { blankCalibration } from '@steady-scatter/core';
import { DocPage } from '../kept/DocPage.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { CalibrationForm } from './CalibrationForm.tsx';
import { CALIBRATIONS } from './useCalibrations.ts';

/** A machine calibrated for a product: runs as they were weighed, what they come to, and what to set next. */
export default function CalibrationPage() {
  const system = useSystem();
  return (
    <DocPage
      kind={CALIBRATIONS}
      wide
      blank={() => blankCalibration(system)}
      renderForm={(props) => <CalibrationForm {...props} />}
    />
  );
}

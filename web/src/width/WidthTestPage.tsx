import { blankWidthTest } from '@steady-scatter/core/width';
import { DocPage } from '../documents/DocPage.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { today } from '../ui/today.ts';
import { WidthReportAct } from './WidthReportAct.tsx';
import { WIDTH_TESTS } from '../kinds/useWidthTests.ts';
import { WidthForm } from './WidthForm.tsx';

/** A width test: the throw by tape, or what trays caught; how even passes are, and the spacing to pass at. */
export default function WidthTestPage() {
  const system = useSystem();
  return (
    <DocPage
      kind={WIDTH_TESTS}
      wide
      blank={() => ({ ...blankWidthTest(system), onDay: today() })}
      renderForm={(props) => <WidthForm {...props} />}
      renderActs={({ input, isSample }) => <WidthReportAct input={input} isSample={isSample} />}
    />
  );
}

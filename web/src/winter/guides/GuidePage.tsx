import { blankGuide } from '@steady-scatter/core/winter';
import { v7 as newId } from 'uuid';
import { DocPage } from '../../documents/DocPage.tsx';
import { GUIDES } from '../../kinds/useGuides.ts';
import { useSystem } from '../../settings/useSystem.ts';
import { today } from '../../ui/today.ts';
import { GuideForm } from './GuideForm.tsx';

/** A rate guide, or a new one. */
export default function GuidePage() {
  const system = useSystem();
  return (
    <DocPage
      kind={GUIDES}
      wide
      blank={() => blankGuide(system, [newId(), newId()], today())}
      renderForm={(props) => <GuideForm {...props} />}
    />
  );
}

import { blankSite } from '@steady-scatter/core/ground';
import { v7 as newId } from 'uuid';
import { DocPage } from '../documents/DocPage.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { SiteForm } from './SiteForm.tsx';
import { SITES } from '../kinds/useSites.ts';

/** A site: its areas measured in parts and drawn to scale, what lies along their edges, and where it is. */
export default function SitePage() {
  const system = useSystem();
  return (
    <DocPage
      kind={SITES}
      wide
      blank={() => blankSite(newId(), system)}
      renderForm={(props, isSample) => <SiteForm {...props} isSample={isSample} />}
    />
  );
}

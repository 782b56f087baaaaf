import { blankRig } from '@steady-scatter/core/machines';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { DocPage } from '../documents/DocPage.tsx';
import { RIGS } from '../kinds/useRigs.ts';
import { useSystem } from '../settings/useSystem.ts';
import { RigForm } from './RigForm.tsx';

/** A machine: its control with the marks on it, its pace, what is looked at and what was done to it. */
export default function RigPage() {
  const system = useSystem();
  const { id } = useParams();
  const navigate = useNavigate();
  const [parameters] = useSearchParams();
  const then = parameters.get('then');
  // It was asked for on the way to something else: that is gone on with, and has it.
  const back = (id: string) => navigate(`${then}${then?.includes('?') ? '&' : '?'}machine=${id}`);
  return (
    <DocPage
      kind={RIGS}
      blank={() => blankRig(system)}
      {...(then?.startsWith('/bench/') && { onSaved: (id) => void back(id) })}
      renderForm={(props) => <RigForm {...props} isNew={id === undefined} />}
    />
  );
}

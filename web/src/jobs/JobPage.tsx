import { useParams } from 'react-router';
import { say } from '@steady-scatter/words/sheet';
import { OpeningMessage } from '../documents/OpeningMessage.tsx';
import { SheetPage } from './SheetPage.tsx';
import { useDoc } from '../documents/docs.ts';
import { JOBS } from '../kinds/useJobs.ts';

/** A kept job, opened by its address. */
export default function JobPage() {
  const { id = null } = useParams();
  const { data, error, refetch } = useDoc(JOBS, id);
  if (data) return <SheetPage key={data.id} job={data} />;
  return (
    <OpeningMessage
      one={say('sheet.job.one')}
      home={JOBS.home}
      error={error}
      onAgain={() => void refetch()}
    />
  );
}

import { useParams } from 'react-router';
import { OpeningMessage } from '../ui/OpeningMessage.tsx';
import { SheetPage } from './SheetPage.tsx';
import { useJob } from './useJobs.ts';

const HOME = { path: '/jobs', label: 'the jobs' };

/** A kept job, opened by its address. */
export default function JobPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useJob(id);
  if (data) return <SheetPage key={data.id} job={data} />;
  return <OpeningMessage one="job" home={HOME} error={error} onAgain={() => void refetch()} />;
}

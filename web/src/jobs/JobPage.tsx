import { useParams } from 'react-router';
import { ApiProblem } from '../api/errors.ts';
import { explain } from '../api/explain.ts';
import { Message } from '../ui/Message.tsx';
import { SheetPage } from './SheetPage.tsx';
import { useJob } from './useJobs.ts';

/** A kept job, opened by its address. */
export default function JobPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useJob(id);
  if (data) return <SheetPage key={data.id} job={data} />;
  if (error instanceof ApiProblem && error.problem.status < 500) {
    return (
      <Message
        heading="This job is not here"
        text="It may have been deleted. All kept jobs stand on the list."
        to="/jobs"
        act="See the jobs"
      />
    );
  }
  if (error)
    return (
      <Message
        heading="The job could not be opened"
        text={explain(error)}
        onAct={() => void refetch()}
        act="Try again"
      />
    );
  return <Message heading="Opening the job …" text="" />;
}

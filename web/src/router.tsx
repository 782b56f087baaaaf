import { createBrowserRouter } from 'react-router';
import { JobPage } from './jobs/JobPage.tsx';
import { JobsPage } from './jobs/JobsPage.tsx';
import { SheetPage } from './jobs/SheetPage.tsx';
import { Shell } from './shell/Shell.tsx';
import { Message } from './ui/Message.tsx';

const notHere = (
  <Message
    heading="There is nothing at this address"
    text="It may be an old link. What you typed on sheets is safe."
    act="Go to the worksheet"
    to="/"
  />
);

/** Every address of the app. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    children: [
      { path: '/', element: <SheetPage key="new" job={null} /> },
      { path: '/jobs', element: <JobsPage /> },
      { path: '/jobs/:id', element: <JobPage /> },
      { path: '*', element: notHere },
    ],
  },
]);

import { lazy, Suspense } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { ActsProvider } from './acts/ActsProvider.tsx';
import { SheetPage } from './jobs/SheetPage.tsx';
import { Shell } from './shell/Shell.tsx';
import { Message } from './ui/Message.tsx';

const JobPage = lazy(() => import('./jobs/JobPage.tsx'));
const JobsPage = lazy(() => import('./jobs/JobsPage.tsx'));
const ShelfPage = lazy(() => import('./products/ShelfPage.tsx'));
const ProductPage = lazy(() => import('./products/ProductPage.tsx'));
const ComparePage = lazy(() => import('./products/ComparePage.tsx'));
const ComponentRoom = lazy(() => import('./room/ComponentRoom.tsx'));

const notHere = (
  <Message
    heading="There is nothing at this address"
    text="It may be an old link. What you typed on sheets is safe."
    act="Go to the worksheet"
    to="/"
  />
);

/** Every address of the app. The new sheet is what opens first; everything else is loaded when it is asked for. */
export function App() {
  return (
    <BrowserRouter>
      <ActsProvider>
        <Shell>
          <Suspense fallback={null}>
            <Routes>
              <Route path="/" element={<SheetPage key="new" job={null} />} />
              <Route path="/jobs" element={<JobsPage />} />
              <Route path="/jobs/:id" element={<JobPage />} />
              <Route path="/shelf" element={<ShelfPage />} />
              <Route path="/shelf/new" element={<ProductPage />} />
              <Route path="/shelf/compare" element={<ComparePage />} />
              <Route path="/shelf/:id" element={<ProductPage />} />
              {import.meta.env.DEV && <Route path="/room" element={<ComponentRoom />} />}
              <Route path="*" element={notHere} />
            </Routes>
          </Suspense>
        </Shell>
      </ActsProvider>
    </BrowserRouter>
  );
}

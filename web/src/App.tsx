import { lazyPart } from './ui/lazyPart.ts';
import { Suspense } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { say } from '@steady-scatter/words/shell';
import { CommandsProvider } from './commands/CommandsProvider.tsx';
import JobPage from './jobs/JobPage.tsx';
import { NewSheet } from './jobs/SheetPage.tsx';
import { CommandPanels } from './shell/CommandPanels.tsx';
import { CrewProvider } from './settings/CrewProvider.tsx';
import { Shell } from './shell/Shell.tsx';
import { Message } from './ui/Message.tsx';

const JobsPage = lazyPart(() => import('./jobs/JobsPage.tsx'));
const OrderPage = lazyPart(() => import('./load/OrderPage.tsx'));
const LogPage = lazyPart(() => import('./records/LogPage.tsx'));
const TodayPage = lazyPart(() => import('./today/TodayPage.tsx'));
const LedgerPage = lazyPart(() => import('./ledger/LedgerPage.tsx'));
const ReportPage = lazyPart(() => import('./report/ReportPage.tsx'));
const PlansPage = lazyPart(() => import('./plans/PlansPage.tsx'));
const PlanPage = lazyPart(() => import('./plans/PlanPage.tsx'));
const LooksPage = lazyPart(() => import('./records/LooksPage.tsx'));
const PeoplePage = lazyPart(() => import('./people/PeoplePage.tsx'));
const PersonPage = lazyPart(() => import('./people/PersonPage.tsx'));
const SitesPage = lazyPart(() => import('./sites/SitesPage.tsx'));
const SitePage = lazyPart(() => import('./sites/SitePage.tsx'));
const BenchPage = lazyPart(() => import('./bench/BenchPage.tsx'));
const CalibrationPage = lazyPart(() => import('./bench/CalibrationPage.tsx'));
const QuickTestPage = lazyPart(() => import('./bench/quick/QuickTestPage.tsx'));
const RunPage = lazyPart(() => import('./bench/run/RunPage.tsx'));
const BenchComparePage = lazyPart(() => import('./bench/compare/ComparePage.tsx'));
const CardsPage = lazyPart(() => import('./bench/cards/CardsPage.tsx'));
const TestFilesPage = lazyPart(() => import('./bench/files/FilesPage.tsx'));
const WidthTestsPage = lazyPart(() => import('./width/WidthTestsPage.tsx'));
const WidthTestPage = lazyPart(() => import('./width/WidthTestPage.tsx'));
const RigsPage = lazyPart(() => import('./rigs/RigsPage.tsx'));
const RigPage = lazyPart(() => import('./rigs/RigPage.tsx'));
const NozzlesPage = lazyPart(() => import('./nozzles/NozzlesPage.tsx'));
const NozzlePage = lazyPart(() => import('./nozzles/NozzlePage.tsx'));
const PatchPage = lazyPart(() => import('./tank/PatchPage.tsx'));
const TonightPage = lazyPart(() => import('./winter/tonight/TonightPage.tsx'));
const ServedPage = lazyPart(() => import('./winter/served/ServedPage.tsx'));
const StormsPage = lazyPart(() => import('./winter/storms/StormsPage.tsx'));
const StormPage = lazyPart(() => import('./winter/storms/StormPage.tsx'));
const RoundPage = lazyPart(() => import('./winter/storms/RoundPage.tsx'));
const WintersPage = lazyPart(() => import('./winter/season/WintersPage.tsx'));
const WinterPage = lazyPart(() => import('./winter/season/WinterPage.tsx'));
const GuidesPage = lazyPart(() => import('./winter/guides/GuidesPage.tsx'));
const GuidePage = lazyPart(() => import('./winter/guides/GuidePage.tsx'));
const BrinePage = lazyPart(() => import('./winter/BrinePage.tsx'));
const ShelfPage = lazyPart(() => import('./products/ShelfPage.tsx'));
const ProductPage = lazyPart(() => import('./products/ProductPage.tsx'));
const LotPage = lazyPart(() => import('./products/LotPage.tsx'));
const SoilTestsPage = lazyPart(() => import('./soil/SoilTestsPage.tsx'));
const SoilTestPage = lazyPart(() => import('./soil/SoilTestPage.tsx'));
const RuleSetsPage = lazyPart(() => import('./regulations/RuleSetsPage.tsx'));
const RuleSetPage = lazyPart(() => import('./regulations/RuleSetPage.tsx'));
const MixPage = lazyPart(() => import('./mix/MixPage.tsx'));
const ImportPage = lazyPart(() => import('./products/ImportPage.tsx'));
const ComparePage = lazyPart(() => import('./products/ComparePage.tsx'));
const ComponentRoom = lazyPart(() => import('./room/ComponentRoom.tsx'));

const notHere = (
  <Message heading={say('shell.nothingHere')} text={say('shell.oldLink')} act={say('shell.toSheet')} to="/" />
);

/** Every address of the app. The new sheet is what opens first; everything else is loaded when it is asked for. */
export function App() {
  return (
    <BrowserRouter>
      <CommandsProvider renderPanel={(panel) => <CommandPanels {...panel} />}>
        <CrewProvider>
          <Shell>
            <Suspense fallback={null}>
              <Routes>
                <Route element={<NewSheet />}>
                  <Route path="/" element={null} />
                  <Route path="/new/:stop" element={null} />
                </Route>
                <Route path="/patch" element={<PatchPage />} />
                <Route path="/winter" element={<TonightPage />} />
                <Route path="/winter/charts/:id" element={<ServedPage />} />
                <Route path="/winter/storms" element={<StormsPage />} />
                <Route path="/winter/storms/new" element={<StormPage />} />
                <Route path="/winter/storms/:id" element={<StormPage />} />
                <Route path="/winter/storms/:id/round" element={<RoundPage />} />
                <Route path="/winter/seasons" element={<WintersPage />} />
                <Route path="/winter/seasons/new" element={<WinterPage />} />
                <Route path="/winter/seasons/:id" element={<WinterPage />} />
                <Route path="/winter/guides" element={<GuidesPage />} />
                <Route path="/winter/guides/new" element={<GuidePage />} />
                <Route path="/winter/guides/:id" element={<GuidePage />} />
                <Route path="/winter/brine" element={<BrinePage />} />
                <Route path="/jobs" element={<JobsPage />} />
                <Route path="/log" element={<LogPage />} />
                <Route path="/jobs/order" element={<OrderPage />} />
                <Route path="/jobs/:id/:stop?" element={<JobPage />} />
                <Route path="/today" element={<TodayPage />} />
                <Route path="/log/season" element={<ReportPage />} />
                <Route path="/plans" element={<PlansPage />} />
                <Route path="/plans/new" element={<PlanPage />} />
                <Route path="/plans/:id" element={<PlanPage />} />
                <Route path="/log/ledger" element={<LedgerPage />} />
                <Route path="/log/looks" element={<LooksPage />} />
                <Route path="/people" element={<PeoplePage />} />
                <Route path="/people/new" element={<PersonPage />} />
                <Route path="/people/:id" element={<PersonPage />} />
                <Route path="/sites" element={<SitesPage />} />
                <Route path="/sites/new" element={<SitePage />} />
                <Route path="/sites/:id" element={<SitePage />} />
                <Route path="/bench" element={<BenchPage />} />
                <Route path="/bench/new" element={<CalibrationPage />} />
                <Route path="/bench/quick" element={<QuickTestPage />} />
                <Route path="/bench/rigs" element={<RigsPage />} />
                <Route path="/bench/rigs/new" element={<RigPage />} />
                <Route path="/bench/rigs/:id" element={<RigPage />} />
                <Route path="/bench/nozzles" element={<NozzlesPage />} />
                <Route path="/bench/nozzles/new" element={<NozzlePage />} />
                <Route path="/bench/nozzles/:id" element={<NozzlePage />} />
                <Route path="/bench/width" element={<WidthTestsPage />} />
                <Route path="/bench/width/new" element={<WidthTestPage />} />
                <Route path="/bench/width/:id" element={<WidthTestPage />} />
                <Route path="/bench/compare" element={<BenchComparePage />} />
                <Route path="/bench/cards" element={<CardsPage />} />
                <Route path="/bench/files" element={<TestFilesPage />} />
                <Route path="/bench/:id" element={<CalibrationPage />} />
                <Route path="/bench/:id/run/:run?" element={<RunPage />} />
                <Route path="/shelf" element={<ShelfPage />} />
                <Route path="/shelf/new" element={<ProductPage />} />
                <Route path="/shelf/compare" element={<ComparePage />} />
                <Route path="/shelf/import" element={<ImportPage />} />
                <Route path="/shelf/mix" element={<MixPage />} />
                <Route path="/shelf/soil" element={<SoilTestsPage />} />
                <Route path="/shelf/soil/new" element={<SoilTestPage />} />
                <Route path="/shelf/soil/:id" element={<SoilTestPage />} />
                <Route path="/shelf/rules" element={<RuleSetsPage />} />
                <Route path="/shelf/rules/new" element={<RuleSetPage />} />
                <Route path="/shelf/rules/:id" element={<RuleSetPage />} />
                <Route path="/shelf/:id/lots/:lot" element={<LotPage />} />
                <Route path="/shelf/:id" element={<ProductPage />} />
                {import.meta.env.DEV && <Route path="/room" element={<ComponentRoom />} />}
                <Route path="*" element={notHere} />
              </Routes>
            </Suspense>
          </Shell>
        </CrewProvider>
      </CommandsProvider>
    </BrowserRouter>
  );
}

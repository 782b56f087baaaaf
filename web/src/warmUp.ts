const LATER_MS = 12_000;
/** What is shown and the first things typed go first. */
const AFTER_SCREEN_MS = 4000;

/**
 * Fetches the parts that are loaded on demand while nothing else is going on, so that they are there when the
 * connection is not: a sheet that was opened once goes on working.
 */
export function warmUp(): void {
  const parts = [
    () => import('./api/call.ts'),
    () => import('./jobs/useJobs.ts'),
    () => import('./ui/UnitChoices.tsx'),
    () => import('./ui/ResultDetails.tsx'),
    () => import('./machine/MachineSection.tsx'),
    () => import('./regulations/PlanSections.tsx'),
    () => import('./need/ProductChoices.tsx'),
    () => import('./ground/SiteChoices.tsx'),
    () => import('./ground/SiteNote.tsx'),
    () => import('./jobs/JobsPage.tsx'),
    () => import('./jobs/JobPage.tsx'),
    () => import('./sites/SitesPage.tsx'),
    () => import('./sites/SitePage.tsx'),
    () => import('./bench/BenchPage.tsx'),
    () => import('./bench/CalibrationPage.tsx'),
    () => import('./bench/run/RunPage.tsx'),
    () => import('./width/WidthTestsPage.tsx'),
    () => import('./width/WidthTestPage.tsx'),
    () => import('./rigs/RigsPage.tsx'),
    () => import('./rigs/RigPage.tsx'),
    () => import('./products/ShelfPage.tsx'),
    () => import('./products/ProductPage.tsx'),
    () => import('./products/ComparePage.tsx'),
    () => import('./products/ImportPage.tsx'),
    () => import('./mix/MixPage.tsx'),
    () => import('./soil/SoilTestsPage.tsx'),
    () => import('./soil/SoilTestPage.tsx'),
    () => import('./regulations/RuleSetsPage.tsx'),
    () => import('./regulations/RuleSetPage.tsx'),
    () => import('./commands/GoTo.tsx'),
    () => import('./commands/ShortcutList.tsx'),
    () => import('./settings/SettingsDialog.tsx'),
  ];
  // Libraries that draw are large: they come when the rest is there and the page has been open for a while.
  const drawing = [() => import('./sites/drawing/AreaDrawing.tsx'), () => import('./bench/SettingChart.tsx')];
  const idle =
    'requestIdleCallback' in window ? window.requestIdleCallback : (run: () => void) => setTimeout(run, 300);
  const fetchAll = (loads: readonly (() => Promise<unknown>)[]) =>
    idle(() => void Promise.allSettled(loads.map((load) => load())));
  const start = () => {
    fetchAll(parts);
    setTimeout(() => fetchAll(drawing), LATER_MS);
  };
  // What every screen but the sheet asks the server with is needed at once.
  if (location.pathname !== '/') void import('./api/call.ts');
  window.addEventListener('load', () => setTimeout(start, AFTER_SCREEN_MS), { once: true });
}

// Contract: the only description of the wire and of what is stored. Zod schemas and the route table; types are inferred from them.
// Wrong input is described by core's own sentences, each at its field.
export { CURRENCY_PLACES, crewSettings, USUAL_SETTINGS, type CrewSettings } from './crew.ts';
export {
  AUTHORITY_PATH,
  device,
  here,
  INSTALLATION_HEADER,
  pairing,
  type Device,
  type Here,
} from './devices.ts';
export {
  documentBatch,
  documentIds,
  documentOf,
  documentRoutes,
  documentWrite,
  MAX_IN_BATCH,
  MAX_READ,
  MAX_REMOVED,
  type DocumentBatch,
  type DocumentOf,
  type DocumentRoutes,
  type DocumentVerb,
  type DocumentWrite,
  type Page,
  type RawDocument,
  type RemovedLine,
  type ReadableOf,
  type StoredDocument,
  type SummaryHead,
  type SummaryOf,
} from './documents.ts';
export {
  eventAppend,
  eventRoutes,
  MAX_EVENTS,
  type EventAppend,
  type EventKind,
  type EventPage,
  type EventVerb,
  type StoredEvent,
} from './events/event.ts';
export { EVENT_NAMES, EVENTS, type EventName } from './events/index.ts';
export { isArchived } from './events/subjects.ts';
export { calibrations } from './kinds/calibrations.ts';
export { jobs } from './kinds/jobs.ts';
export { openRuns } from './kinds/openRuns.ts';
export { people } from './kinds/people.ts';
export { products } from './kinds/products.ts';
export { rigs } from './kinds/rigs.ts';
export { ruleSets } from './kinds/ruleSets.ts';
export { sites } from './kinds/sites.ts';
export { guides } from './kinds/guides.ts';
export { nozzles } from './kinds/nozzles.ts';
export { storms } from './kinds/storms.ts';
export { CALENDAR_PATH, type Feed } from './feeds.ts';
export { plans } from './kinds/plans.ts';
export { winters } from './kinds/winters.ts';
export { soilTests } from './kinds/soilTests.ts';
export { walks } from './kinds/walks.ts';
export { widthTests } from './kinds/widthTests.ts';
export { KIND_NAMES, KINDS, type ColumnsOf, type InputOf, type KindName } from './kinds/index.ts';
export { kindOf, type Column, type Columns, type Kind, type RowOf, type Shape } from './kinds/kind.ts';
export { MAX_PAGE, splitFilter, type ListAsk, type ListFilter, type ListQuery } from './listQuery.ts';
export { allRoutes, openApi, openApiPath } from './openapi.ts';
export {
  fieldProblem,
  problem,
  PROBLEMS,
  problemType,
  type FieldProblem,
  type Problem,
  type ProblemCode,
  type ProblemFacts,
} from './problem.ts';
export { isLaterSchema, readInput } from './readInput.ts';
export type { Route } from './route.ts';
export {
  FILE_ROUTES,
  ROUTES,
  type AnswerOf,
  type BodyOf,
  type ParamsOf,
  type QueryOf,
  type RouteName,
} from './routes.ts';
export type { Hit } from './search.ts';
export { PHOTO_LIMITS, photoPath, PHOTO_TYPES, type PhotoFacts, type PhotoType } from './photos.ts';
export { ledgerQuery, type LedgerQuery } from './ledger.ts';
export type { StockLine } from './stock.ts';
export { testsFile, type TestsFile } from './testsFile.ts';

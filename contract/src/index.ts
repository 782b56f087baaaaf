// Contract: the only description of the wire. Zod schemas and the route table; types are inferred from them.
// Wrong input is described by core's own sentences, each at its field.
export {
  calibration,
  calibrationResult,
  calibrationShape,
  calibrationInput,
  calibrationWrite,
  testsFile,
  type Calibration,
  type CalibrationWrite,
  type TestsFile,
} from './calibrations.ts';
export { rig, rigResult, rigShape, rigInput, rigWrite, type Rig, type RigWrite } from './rigs.ts';
export { device, here, pairing, type Device, type Here } from './devices.ts';
export { job, jobSummary, jobWrite, type Job, type JobSummary, type JobWrite } from './jobs.ts';
export { openApi, openApiPath } from './openapi.ts';
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
export {
  MAX_IN_BATCH,
  product,
  productFacts,
  productResult,
  productInput,
  productWrite,
  type Product,
  type ProductBatch,
  type ProductWrite,
} from './products.ts';
export {
  ruleSet,
  ruleSetResult,
  ruleSetShape,
  ruleSetInput,
  ruleSetWrite,
  type RuleSet,
  type RuleSetWrite,
} from './ruleSets.ts';
export {
  soilTest,
  soilTestResult,
  soilTestShape,
  soilTestInput,
  soilTestWrite,
  type SoilTest,
  type SoilTestWrite,
} from './soilTests.ts';
export { site, siteResult, siteShape, siteInput, siteWrite, type Site, type SiteWrite } from './sites.ts';
export type { Route } from './route.ts';
export { FILE_ROUTES, ROUTES, type AnswerOf, type BodyOf, type ParamsOf, type RouteName } from './routes.ts';
export {
  widthTest,
  widthTestResult,
  widthTestShape,
  widthTestInput,
  widthTestWrite,
  type WidthTest,
  type WidthTestWrite,
} from './widthTests.ts';
export { worksheet, worksheetAnswer, worksheetShape } from './worksheet.ts';

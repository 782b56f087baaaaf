// Contract: the only description of the wire. Zod schemas and the route table; types are inferred from them.
// Wrong input is described by core's own sentences, each at its field.
export {
  calibration,
  calibrationReading,
  calibrationShape,
  calibrationTyped,
  calibrationWrite,
  testsFile,
  type Calibration,
  type CalibrationWrite,
  type TestsFile,
} from './calibrations.ts';
export { rig, rigReading, rigShape, rigTyped, rigWrite, type Rig, type RigWrite } from './rigs.ts';
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
  productReading,
  productTyped,
  productWrite,
  type Product,
  type ProductBatch,
  type ProductWrite,
} from './products.ts';
export {
  ruleSet,
  ruleSetReading,
  ruleSetShape,
  ruleSetTyped,
  ruleSetWrite,
  type RuleSet,
  type RuleSetWrite,
} from './ruleSets.ts';
export {
  soilTest,
  soilTestReading,
  soilTestShape,
  soilTestTyped,
  soilTestWrite,
  type SoilTest,
  type SoilTestWrite,
} from './soilTests.ts';
export { site, siteReading, siteShape, siteTyped, siteWrite, type Site, type SiteWrite } from './sites.ts';
export type { Route } from './route.ts';
export { FILE_ROUTES, ROUTES, type AnswerOf, type BodyOf, type ParamsOf, type RouteName } from './routes.ts';
export {
  widthTest,
  widthTestReading,
  widthTestShape,
  widthTestTyped,
  widthTestWrite,
  type WidthTest,
  type WidthTestWrite,
} from './widthTests.ts';
export { worksheet, worksheetAnswer, worksheetShape } from './worksheet.ts';

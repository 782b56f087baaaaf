// Contract: the only description of the wire. Zod schemas and the route table; types are inferred from them.
// Wrong input is described by core's own sentences, each at its field.
export { job, jobId, jobSummary, jobWrite, type Job, type JobSummary, type JobWrite } from './jobs.ts';
export { openApi, openApiPath } from './openapi.ts';
export { fieldProblem, problem, type FieldProblem, type Problem } from './problem.ts';
export {
  product,
  productId,
  productTyped,
  productWrite,
  type Product,
  type ProductWrite,
} from './products.ts';
export { ROUTES, type AnswerOf, type BodyOf, type ParamsOf, type Route, type RouteName } from './routes.ts';
export { worksheet } from './worksheet.ts';

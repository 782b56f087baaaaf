import { ROUTES, type AnswerOf, type BodyOf, type ParamsOf, type RouteName } from '@steady-scatter/contract';
import { Router, type Request, type Response } from 'express';

/** What a handler is given: checked params and body, and the crew that the request acts for. */
export interface Call<Name extends RouteName> {
  readonly params: ParamsOf<Name>;
  readonly body: BodyOf<Name>;
  readonly crewId: string;
  readonly request: Request;
  readonly response: Response;
}

/** One handler for each route of the contract. */
export type Handlers = { [Name in RouteName]: (call: Call<Name>) => Promise<AnswerOf<Name>> };

function mountOne(
  router: Router,
  name: RouteName,
  handle: (call: Call<never>) => Promise<unknown>,
  crewId: string,
): void {
  const { method, path, params, body } = ROUTES[name];
  router[method](path, async (request, response) => {
    const call = {
      params: params.parse(request.params),
      body: body.parse(request.body),
      crewId,
      request,
      response,
    } as Call<never>;
    const answer = await handle(call);
    if (answer === undefined) response.status(204).end();
    else response.json(answer);
  });
}

/** Mounts every route of the contract: parse, call, answer. */
export function mountRoutes(handlers: Handlers, crewId: string): Router {
  const router = Router();
  for (const name of Object.keys(ROUTES) as RouteName[]) mountOne(router, name, handlers[name], crewId);
  return router;
}

import { eventAppend, eventRoutes, type EventKind } from '@steady-scatter/contract';
import type { Router } from 'express';
import type { Actor } from '../actor.ts';
import { readJson } from '../checking/check.ts';
import { plainProblem } from '../problems/HttpProblem.ts';
import { readAsked } from '../problems/invalid.ts';
import type { EventService } from '../services/events.ts';
import { mountRoute, type Mounting } from './mount.ts';

/** Mounts the routes of one kind of event. */
export function mountEvents(
  router: Router,
  event: EventKind,
  events: EventService,
  { disk }: Pick<Mounting, 'disk'>,
): void {
  const { append, list } = eventRoutes(event);
  // Read here, strictly, and not by the route: a field too many is refused, an earlier version brought up to date.
  const add = (actor: Actor, bytes: Uint8Array) => {
    const body = readJson(bytes);
    if (!body) throw plainProblem('unreadable');
    return events.append(actor, event, readAsked(eventAppend, body.json));
  };
  mountRoute(router, append, async ({ actor, bytes }) => add(actor!, bytes), { disk, isRaw: true });
  mountRoute(
    router,
    list,
    ({ actor, query }) => events.list(actor!, event, query as Parameters<EventService['list']>[2]),
    { disk },
  );
}

/** Who acts: each request has one, each service takes it, and what it changes says so. */
export interface Actor {
  readonly crewId: string;
  /** The person who signed in; null until people do. */
  readonly userId: string | null;
  /** The paired device; null at the machine itself. */
  readonly deviceId: string | null;
  /** The machine itself leads; a paired device is one of the crew. */
  readonly role: 'lead' | 'crew';
}

/** Whoever works at the machine itself. */
export const leadOf = (crewId: string): Actor => ({ crewId, userId: null, deviceId: null, role: 'lead' });

/** What a row says of whoever changed it last. */
export const changedBy = ({ userId, deviceId }: Actor) => ({
  changedByUser: userId,
  changedByDevice: deviceId,
});

declare module 'express-serve-static-core' {
  interface Request {
    /** Set once the request is trusted. */
    actor?: Actor;
  }
}

import { setTimeout as wait } from 'node:timers/promises';
import { UniqueConstraintError, type Sequelize, type Transaction } from 'sequelize';
import { isMet } from '../problems/databaseTrouble.ts';
import { plainProblem } from '../problems/HttpProblem.ts';

const TRIES = 6;
const FIRST_WAIT_MS = 15;

/** Longer each time, and never as long as another one that waits. */
const pause = (tried: number): Promise<void> =>
  wait(FIRST_WAIT_MS * 2 ** (tried - 1) * (0.5 + Math.random()));

/**
 * Runs a change in one transaction, again when it met another change of the same rows at the same moment: it sees what the other one
 * made then. An id that still clashes belongs to somebody else.
 */
export async function transact<Made>(
  sequelize: Sequelize,
  change: (transaction: Transaction) => Promise<Made>,
): Promise<Made> {
  for (let tried = 1; ; tried += 1) {
    try {
      // oxlint-disable-next-line no-await-in-loop -- each try waits for the one before
      return await sequelize.transaction(change);
    } catch (error) {
      const clash = error instanceof UniqueConstraintError;
      if (clash && tried === TRIES) throw plainProblem('id-taken');
      if (tried === TRIES || !(clash || isMet(error))) throw error;
      // Whoever brought the same id has ended by now: the next try sees it.
      // oxlint-disable-next-line no-await-in-loop
      if (!clash) await pause(tried);
    }
  }
}

import { setTimeout as wait } from 'node:timers/promises';
import { Transaction, UniqueConstraintError, type Sequelize } from 'sequelize';
import { isMet } from '../problems/databaseTrouble.ts';
import { plainProblem } from '../problems/HttpProblem.ts';

const TRIES = 6;
const FIRST_WAIT_MS = 15;

/** Longer each time, and never as long as another one that waits. */
const pause = (tried: number): Promise<void> =>
  wait(FIRST_WAIT_MS * 2 ** (tried - 1) * (0.5 + Math.random()));

/**
 * Runs a change in one transaction, again after a pause when it met another change of the same rows at the same moment: it sees what
 * the other one made then. An id that still clashes belongs to somebody else.
 *
 * @param look asked before each try, outside of the transaction: whether the row is there
 */
export async function transact(
  sequelize: Sequelize,
  look: () => Promise<boolean>,
  change: (isThere: boolean, transaction: Transaction) => Promise<void>,
): Promise<void> {
  const isolationLevel = Transaction.ISOLATION_LEVELS.READ_COMMITTED;
  for (let tried = 1; ; tried += 1) {
    try {
      // oxlint-disable no-await-in-loop -- each try waits for the one before
      const isThere = await look();
      await sequelize.transaction({ isolationLevel }, (transaction) => change(isThere, transaction));
      return;
    } catch (error) {
      const clash = error instanceof UniqueConstraintError;
      if (clash && !(await look())) throw plainProblem('id-taken');
      if (tried === TRIES || !(clash || isMet(error))) throw error;
      await pause(tried);
      // oxlint-enable no-await-in-loop
    }
  }
}

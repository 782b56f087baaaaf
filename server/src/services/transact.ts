import { BaseError, UniqueConstraintError, type Sequelize, type Transaction } from 'sequelize';
import { idTaken } from '../problems/Refusal.ts';

const TRIES = 5;

const isDeadlock = (error: unknown): boolean =>
  error instanceof BaseError && /deadlock|lock wait timeout/i.test(error.message);

/**
 * Runs a change in one transaction, again when it met another change of the same rows at the same moment: the
 * second time it sees what the other one made. An id that still clashes belongs to somebody else.
 */
export async function transact(
  sequelize: Sequelize,
  change: (transaction: Transaction) => Promise<void>,
): Promise<void> {
  for (let tried = 1; ; tried += 1) {
    try {
      // oxlint-disable-next-line no-await-in-loop -- each try waits for the one before
      await sequelize.transaction(change);
      return;
    } catch (error) {
      const clash = error instanceof UniqueConstraintError;
      if (clash && tried === TRIES) throw idTaken();
      if (tried === TRIES || !(clash || isDeadlock(error))) throw error;
    }
  }
}

import { readFileSync } from 'node:fs';
import driver from 'mariadb';
import { Sequelize } from 'sequelize';
import * as z from 'zod';

/** How to reach the private database, as kept in the data folder. */
const connection = z.object({
  port: z.int(),
  socket: z.string(),
  database: z.string(),
  user: z.string(),
  password: z.string(),
});

export type Connection = z.infer<typeof connection>;

/** Reads the connection file that the start script keeps beside the database. */
export const readConnection = (file: string): Connection =>
  connection.parse(JSON.parse(readFileSync(file, 'utf8')));

/**
 * Opens a pool to the database by its socket, which stays where it is when the database starts anew; nothing is asked of it yet.
 *
 * @param connections most that are open at once; what is asked beyond them waits
 */
export function openSequelize({ socket, database, user, password }: Connection, connections = 8): Sequelize {
  return new Sequelize(database, user, password, {
    dialect: 'mariadb',
    dialectModule: driver,
    logging: false,
    timezone: '+00:00',
    pool: { max: connections, min: 0, acquire: 4000, idle: 10_000 },
    // A transaction sees what others have made by then: each statement tells of its own moment.
    dialectOptions: {
      socketPath: socket,
      connectTimeout: 3000,
      initSql: 'SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED',
    },
  });
}

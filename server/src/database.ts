import { readFileSync } from 'node:fs';
import { Sequelize } from 'sequelize';
import * as z from 'zod';

/** How to reach the private database, as kept in the data folder. */
const connection = z.object({
  port: z.int(),
  database: z.string(),
  user: z.string(),
  password: z.string(),
});

export type Connection = z.infer<typeof connection>;

/** Reads the connection file that the start script keeps beside the database. */
export const readConnection = (file: string): Connection =>
  connection.parse(JSON.parse(readFileSync(file, 'utf8')));

/** Opens a pool to the database on loopback; nothing is asked of it yet. */
export function openSequelize({ port, database, user, password }: Connection): Sequelize {
  return new Sequelize(database, user, password, {
    dialect: 'mariadb',
    host: '127.0.0.1',
    port,
    logging: false,
    timezone: '+00:00',
    pool: { max: 8, min: 0, acquire: 4000, idle: 10_000 },
    dialectOptions: { connectTimeout: 3000 },
  });
}

import { RateLimiterMySQL } from 'rate-limiter-flexible';
import { connect } from './database';

/** The name of the database that `DATABASE_URL` speaks of. */
const databaseName = (): string => /\/([^/?]+)(\?|$)/.exec(process.env.DATABASE_URL ?? '')?.[1] ?? '';

const limiters = new Map<string, RateLimiterMySQL>();

/**
 * Counts attempts in the database, so that all copies of the server count together.
 *
 * @param name of what is attempted @param points how many are let through @param seconds in how many seconds
 */
export function attempts(name: string, points: number, seconds: number): RateLimiterMySQL {
  const known = limiters.get(name);
  if (known) return known;
  const limiter = new RateLimiterMySQL({
    storeClient: {
      getConnection: (done: (error: unknown, connection?: unknown) => void): void => {
        connect().then(
          (connection) => done(null, connection.connection),
          (error: unknown) => done(error),
        );
      },
    },
    storeType: 'pool',
    dbName: databaseName(),
    tableName: 'attempt',
    tableCreated: true,
    clearExpiredByTimeout: true,
    keyPrefix: name,
    points,
    duration: seconds,
  });
  limiters.set(name, limiter);
  return limiter;
}

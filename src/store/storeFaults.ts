/** The database cannot be reached. Nothing was changed; the pool connects again by itself when it is back. */
export class DatabaseGone extends Error {
  constructor(cause: unknown) {
    super('the database cannot be reached', { cause });
    this.name = 'DatabaseGone';
  }
}

/** The database went away while it was told to keep a transaction: whether it did is not known. */
export class KeptOrNot extends DatabaseGone {
  constructor(cause: unknown) {
    super(cause);
    this.name = 'KeptOrNot';
  }
}

/** The disk that the database lies on is full, or may not be written. Nothing was changed. */
export class DiskFull extends Error {
  constructor(cause: unknown) {
    super('the disk of the database is full or read-only', { cause });
    this.name = 'DiskFull';
  }
}

/** Somebody else's work on the same household went on for too long. Nothing was changed. */
export class StoreBusy extends Error {
  constructor(cause: unknown) {
    super('the database is busy', { cause });
    this.name = 'StoreBusy';
  }
}

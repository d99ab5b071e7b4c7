/** A strip to print. */
export interface Strip {
  /** Id of what it labels; one strip of each is in the queue at most. */
  id: string;
  name: string;
  amount: string;
  happened: string;
  due: string;
  thenDo: string;
  /** Whom it is not for; empty: it is for everybody. */
  notFor: string;
  code: string;
}

/** Where a label printer stands: what waits, what was printed, what keeps it. */
export interface Printer {
  state: 'ready' | 'paper-out' | 'jam' | 'off';
  /** Strips of paper left on its roll. */
  paper: number;
  queue: Strip[];
  /** The latest first. */
  printed: Strip[];
}

/** Strips of a new roll, and how many printed ones are kept in sight. */
const ROLL = 40;
const MOST_SHOWN = 60;

export const NEW_PRINTER: Printer = { state: 'ready', paper: ROLL, queue: [], printed: [] };

/** Puts strips into the queue; one that waits already is not doubled. */
export function enqueue(printer: Printer, strips: readonly Strip[]): Printer {
  const waiting = new Set(printer.queue.map(({ id }) => id));
  return { ...printer, queue: [...printer.queue, ...strips.filter(({ id }) => !waiting.has(id))] };
}

/** Prints the next strip if it can; without paper it says so and the strip waits. */
export function feed(printer: Printer): Printer {
  const [next, ...queue] = printer.queue;
  if (printer.state !== 'ready' || !next) return printer;
  if (printer.paper === 0) return { ...printer, state: 'paper-out' };
  return {
    ...printer,
    queue,
    paper: printer.paper - 1,
    printed: [next, ...printer.printed.filter(({ id }) => id !== next.id)].slice(0, MOST_SHOWN),
  };
}

/** The paper jams: the strip on its way is spoilt, costs paper, and stays first in the queue. */
export function jam(printer: Printer): Printer {
  return { ...printer, state: 'jam', paper: Math.max(0, printer.paper - (printer.queue.length > 0 ? 1 : 0)) };
}

/** The roll ends. */
export const runOut = (printer: Printer): Printer => ({ ...printer, paper: 0, state: 'paper-out' });

/** A new roll. */
export const loadRoll = (printer: Printer): Printer => ({
  ...printer,
  paper: ROLL,
  state: printer.state === 'paper-out' ? 'ready' : printer.state,
});

/** The jam is cleared: what was on its way is printed again. */
export const retry = (printer: Printer): Printer => ({
  ...printer,
  state: printer.paper === 0 ? 'paper-out' : 'ready',
});

/** Switched on or off; what waits stays. */
export const toggle = (printer: Printer): Printer => ({
  ...printer,
  state: printer.state === 'off' ? 'ready' : 'off',
});

/** Takes strips out of the queue: their packages were undone, or are written by hand. */
export const withdraw = (printer: Printer, ids: readonly string[]): Printer => ({
  ...printer,
  queue: printer.queue.filter(({ id }) => !ids.includes(id)),
});

const STATES = ['ready', 'paper-out', 'jam', 'off'];

/** A printer as it was kept; anything that is not one is a new printer. */
export function readPrinter(text: string | null): Printer {
  try {
    const told = JSON.parse(text ?? '') as Printer;
    const whole = STATES.includes(told.state) && Number.isInteger(told.paper) && told.paper >= 0;
    return whole && Array.isArray(told.queue) && Array.isArray(told.printed) ? told : NEW_PRINTER;
  } catch {
    return NEW_PRINTER;
  }
}

'use client';

import { dehydrate, type DehydratedState, hydrate, QueryClient } from '@tanstack/react-query';
import { datedAsTold } from './datedAsTold';
import { DoorError, MEMBER_HEADER, postJson } from './fetchJson';
import { shownMember } from './ownStorage';
import { tellWorker } from './tellWorker';
import { learnVersions, type Moves, withOwnVersion } from './ownVersions';

/** A command as the page tells it; its id comes when it is sent. */
export type NewCommand = { type: string } & Record<string, unknown>;

/** What the door answers to one command. */
export interface DoorAnswer {
  id: string;
  type: string;
  says: string;
  packages: { id: string; code: string; version: number; here: boolean }[];
}

/** Commands on their way: with their ids, kept until they are answered. */
export interface Sending {
  commands: (NewCommand & { id: string })[];
  /** When the cook told them, by this device's clock, ms. */
  toldAt: number;
  /** The household of the page they were told on. */
  household?: string;
  /** The member who told them; empty where nobody was asked. */
  member?: string;
  /** How often they were sent. */
  sent: number;
  /** They were told before this page was loaded: nobody on it waits for their answer. */
  fromBefore?: boolean;
}

/** No answer, or one that does not tell whether it was done: the same ids are sent again until the door says. */
const UNANSWERED = [
  'offline',
  'not-known',
  'database-gone',
  'busy',
  'too-often',
  'too-slow',
  // Somebody else came to this device meanwhile: they wait for her who told them.
  'another-member',
  'status-502',
  'status-504',
];
/** A fault of the server is asked about so often before it is told. */
const MOST_FAULTS = 3;

const isUnanswered = (tries: number, error: unknown): boolean =>
  error instanceof DoorError &&
  (UNANSWERED.includes(error.code) || (error.code === 'fault' && tries < MOST_FAULTS));

/** A command is answered long before; a connection that hangs is given up, and the same ids are sent again. */
const ASK_AGAIN_MS = 25_000;

/** What this page told moved on. */
const moves: Moves = new Map();

/** Sends commands; sent late, or again, they say how long ago they were told. */
async function send(sending: Sending): Promise<DoorAnswer[]> {
  const sent = sending.commands.map((command) => withOwnVersion(command, moves));
  const body = datedAsTold(sent, { toldAt: sending.toldAt, now: Date.now(), again: sending.sent > 0 });
  sending.sent += 1;
  const { answers } = await postJson<{ answers: DoorAnswer[] }>('/api/v1/commands', body, {
    signal: AbortSignal.timeout(ASK_AGAIN_MS),
    ...(sending.household === undefined ? {} : { household: sending.household }),
    headers: { [MEMBER_HEADER]: sending.member ?? '' },
  });
  tellWorker();
  learnVersions(moves, sending.commands, sent, answers);
  return answers;
}

export const SENDING = ['commands'];

/** One after the other, in the order they were told. */
const IN_ORDER = { id: 'door' };

/** Cautious waits: 1, 2, 4 seconds, then every 5. */
const retryDelay = (tries: number): number => Math.min(5000, 1000 * 2 ** tries);

function newClient(): QueryClient {
  const client = new QueryClient({
    defaultOptions: {
      // The kitchen's server is often in the house: there without the internet.
      queries: { networkMode: 'always', retry: false, refetchOnWindowFocus: false, gcTime: 60_000 },
      mutations: { networkMode: 'always' },
    },
  });
  client.setMutationDefaults(SENDING, { mutationFn: send, retry: isUnanswered, retryDelay, scope: IN_ORDER });
  return client;
}

let kept: QueryClient | undefined;

/** The one client of this page; on the server a new one each time. */
export function doorClient(): QueryClient {
  if (typeof window === 'undefined') return newClient();
  return (kept ??= newClient());
}

const PLACE = 'orderly-frost:sending:';
/** Told longer ago than this, the door does not take it any more. */
const KEPT_MS = 30 * 86_400_000;

function store(work: (storage: Storage) => void): void {
  try {
    work(localStorage);
  } catch {
    // No storage on this device, or it is full: then they are kept as long as the page is open.
  }
}

/** Writes down what waits for an answer, each by itself, so that two open pages do not undo each other's. */
function keep(client: QueryClient, mine: Set<string>): void {
  const { mutations } = dehydrate(client, {
    shouldDehydrateQuery: () => false,
    shouldDehydrateMutation: ({ state }) => state.status === 'pending',
  });
  const waiting = new Map(
    mutations.map((one) => [PLACE + (one.state.variables as Sending).commands[0]?.id, one]),
  );
  store((storage) => {
    for (const place of mine) if (!waiting.has(place)) storage.removeItem(place);
    for (const [place, one] of waiting) storage.setItem(place, JSON.stringify(one));
  });
  mine.clear();
  for (const place of waiting.keys()) mine.add(place);
}

/** One that was kept; `null`: it cannot be read, which keeps no other from being sent. */
function readKept(storage: Storage, place: string): DehydratedState['mutations'][number] | null {
  try {
    return JSON.parse(storage.getItem(place) ?? 'null') as DehydratedState['mutations'][number] | null;
  } catch {
    return null;
  }
}

/** How many entries of a member wait on this device to be sent. */
export function countWaiting(member: string): number {
  let count = 0;
  store((storage) => {
    for (const place of Object.keys(storage).filter((key) => key.startsWith(PLACE))) {
      const sending = readKept(storage, place)?.state.variables as Sending | undefined;
      if (sending && (sending.member ?? '') === member) count += sending.commands.length;
    }
  });
  return count;
}

/** What was told before this page was loaded and never answered, the oldest first. */
function keptBefore(): DehydratedState['mutations'] {
  const found: DehydratedState['mutations'] = [];
  store((storage) => {
    for (const place of Object.keys(storage).filter((key) => key.startsWith(PLACE))) {
      const one = readKept(storage, place);
      const sending = one?.state.variables as Sending | undefined;
      if (!one || !sending) continue;
      if (Date.now() - sending.toldAt > KEPT_MS) storage.removeItem(place);
      // What somebody else told here waits until she is here again.
      else if ((sending.member ?? '') === shownMember()) {
        const variables: Sending = { ...sending, sent: Math.max(1, sending.sent), fromBefore: true };
        found.push({ ...one, state: { ...one.state, variables, isPaused: true } });
      }
    }
  });
  const toldAt = ({ state }: (typeof found)[number]): number => (state.variables as Sending).toldAt;
  return found.sort((a, b) => toldAt(a) - toldAt(b));
}

/** Hears of answers to what was told before this page was loaded: nobody else on it waits for them. */
function hearLate(client: QueryClient, tell: (says: string, failed: boolean) => void): () => void {
  return client.getMutationCache().subscribe((event) => {
    if (event.type !== 'updated' || !(event.mutation.state.variables as Sending | undefined)?.fromBefore)
      return;
    if (event.action.type === 'success')
      tell((event.action.data as DoorAnswer[]).map(({ says }) => says).join(' '), false);
    if (event.action.type === 'error') tell(event.action.error.message, true);
  });
}

/**
 * Keeps unanswered commands over a reload, or a night without network, and sends again what was kept before.
 *
 * @param tell what was answered to those told before, and whether they were refused
 * @returns how to stop
 */
export function keepUnanswered(tell: (says: string, failed: boolean) => void): () => void {
  const client = doorClient();
  hydrate(client, { mutations: keptBefore(), queries: [] });
  const mine = new Set<string>();
  const stops = [client.getMutationCache().subscribe(() => keep(client, mine)), hearLate(client, tell)];
  void client.resumePausedMutations();
  return () => stops.forEach((stop) => stop());
}

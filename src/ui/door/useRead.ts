'use client';

import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { doorClient } from './doorClient';
import { DoorError, fetchJson, postJson } from './fetchJson';

/** What was read, and a sentence when it could not be. */
interface Reading<Body> {
  body: Body | null;
  fault: string;
  /** It is being read, also again: what is here may be older than the last thing told. */
  looking: boolean;
  /** Resolves when it was read again. */
  again: () => Promise<unknown>;
}

interface How {
  /** Never null while the next answer is on its way: the last one stays. */
  keep?: boolean;
  /** Stays as it is whatever goes through the door, until it is asked again. */
  lasting?: boolean;
}

const LASTS_MS = 10 * 60_000;

function useAnswer<Body>(
  key: readonly unknown[],
  ask: () => Promise<Body>,
  enabled: boolean,
  { keep = false, lasting = false }: How,
): Reading<Body> {
  const { data, error, isFetching, refetch } = useQuery(
    {
      queryKey: key,
      queryFn: ask,
      enabled,
      meta: { lasting },
      staleTime: lasting ? LASTS_MS : 0,
      gcTime: lasting ? LASTS_MS : 60_000,
      ...(keep ? { placeholderData: keepPreviousData } : {}),
    },
    doorClient(),
  );
  return {
    body: data ?? null,
    fault: error === null ? '' : error instanceof DoorError ? error.message : 'That could not be read.',
    looking: isFetching,
    again: () => refetch(),
  };
}

/** Reads an address, and again whenever something went through the door; `null`: not now. */
export const useRead = <Body>(address: string | null, how: How = {}): Reading<Body> =>
  useAnswer<Body>([address], () => fetchJson<Body>(address ?? ''), address !== null, how);

/** Asks a calculator, and again whenever something went through the door; `null`: not now. */
export const useAsk = <Body>(address: string, asked: unknown, how: How = {}): Reading<Body> =>
  useAnswer<Body>([address, asked], () => postJson<Body>(address, asked), asked !== null, how);

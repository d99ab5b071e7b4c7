'use client';

import { useMemo } from 'react';
import type { Finding, ZoneStep } from '@/core/model/round';
import type { RoundsView } from '@/services/rounds/rounds';
import { useUnseen } from '../door/StillAsking';

/** The view with what was told and is not in it yet, so that a round goes on without a network. */
export function useWalked(given: RoundsView): RoundsView {
  const unseen = useUnseen(given);
  return useMemo(() => {
    const told = unseen.flatMap(({ commands }) => commands);
    if (told.length === 0) return given;
    const finding = new Map<unknown, Finding>();
    const step = new Map<unknown, ZoneStep>();
    for (const one of told) {
      if (one.type === 'round.look') finding.set(one.package, one.finding as Finding);
      if (one.type === 'round.zone') step.set(one.zone, one.step as ZoneStep);
    }
    const over = told.some(({ type }) => type === 'round.end');
    return {
      ...given,
      round: over ? null : given.round,
      things: given.things.map((thing) => ({
        ...thing,
        finding: finding.get(thing.view.id) ?? thing.finding,
      })),
      zones: given.zones.map((zone) => ({ ...zone, step: step.get(zone.id) ?? zone.step })),
    };
  }, [given, unseen]);
}

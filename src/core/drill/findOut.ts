import type { Seen } from '../model/cut';
import { seededNormals } from '../powercut/seededNormals';
import { type Drill, type DrillEvidence, type DrillFinding, EVIDENCE_MINUTES } from './drill';
import { drillTruth } from './drillTruth';

/** A kitchen thermometer is right to about so much, K. */
const NOISE_K = 0.3;

/** Minutes spent so far, and when a door was opened for it. */
export function spentOn(findings: readonly DrillFinding[]): { minutes: number; looks: number[] } {
  let minutes = 0;
  const looks = findings.map((finding) => {
    const at = minutes;
    minutes += finding.minutes;
    return at;
  });
  return { minutes, looks };
}

const tenths = (c: number): number => Math.round(c * 10) / 10;

/** The signs and crystals one sees; its middle only by measuring. */
const byEye = ({ measuredC: _inside, ...seen }: Seen): Seen => seen;

/**
 * Finds out one thing of an exercise: what it shows now, for its minutes. A log is read where there is a thermometer that keeps
 * one; of a cut nobody knows, it tells nothing.
 */
export function findOut(
  drill: Drill,
  findings: readonly DrillFinding[],
  evidence: DrillEvidence,
): DrillFinding {
  const minutes = EVIDENCE_MINUTES[evidence.kind];
  const { parts, items, hours } = drillTruth(drill, spentOn(findings));
  const noise = seededNormals(drill.seed + findings.length * 31);
  switch (evidence.kind) {
    case 'read': {
      const last = parts.get(evidence.part)?.air.at(-1);
      const c = drill.refroze ? -18 : (last?.c ?? 0);
      return { evidence, minutes, readings: [{ atH: hours, c: tenths(c + NOISE_K * noise.normal()) }] };
    }
    case 'log': {
      const air = drill.refroze ? [] : (parts.get(evidence.part)?.air ?? []);
      const readings = air
        .filter((_, at) => at % 4 === 0 || at === air.length - 1)
        .map(({ atH, c }) => ({ atH, c: tenths(c + NOISE_K * noise.normal()) }));
      return { evidence, minutes, readings };
    }
    case 'telltale':
      return { evidence, minutes, telltale: parts.get(evidence.part)?.telltale ?? 'none' };
    case 'look':
      return { evidence, minutes, seen: byEye(items.get(evidence.item) ?? {}) };
    case 'measure':
      return { evidence, minutes, seen: items.get(evidence.item) ?? {} };
  }
}

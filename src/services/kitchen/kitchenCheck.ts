import { type CheckRule, checkTitle, type CheckFinding } from '@/core/placement/checkKitchen';
import { type TidyMove, tidyWalk } from '@/core/placement/tidyMoves';
import { heavy } from '../calculators/heavy';
import { viewContext } from '../household/context';
import { type KitchenContents, readKitchenContents } from './kitchenContents';

/** A package of a finding or a move, as a command needs it. */
interface Told {
  id: string;
  version: number;
  code: string;
}

/** What one button does: moves packages, marks one to be eaten first, or opens a zone. */
export type FixView =
  | { kind: 'move'; packages: Told[]; to: string; to_name: string }
  | { kind: 'eat-first'; packages: Told[] }
  | { kind: 'look'; zone: string };

export interface FindingView {
  rule: CheckRule;
  title: string;
  zone: { id: string; name: string; appliance: string };
  says: string;
  why: string;
  fix: FixView;
}

export interface MoveView {
  packages: Told[];
  called: string;
  from: string;
  to: string;
  to_zone: string;
  gain: number;
  says: string;
}

export interface StopView {
  appliance: string;
  name: string;
  out: MoveView[];
  inside: MoveView[];
  into: MoveView[];
}

const toTold = (id: string, { packages }: KitchenContents): Told[] =>
  (packages.get(id) ?? []).map(({ id: one, version, code }) => ({ id: one, version, code }));

function toFix({ fix }: CheckFinding, contents: KitchenContents): FixView {
  switch (fix.kind) {
    case 'move':
      return { kind: 'move', packages: toTold(fix.package, contents), to: fix.to, to_name: fix.toName };
    case 'eat-first':
      return { kind: 'eat-first', packages: toTold(fix.package, contents).slice(0, 1) };
    case 'look':
      return fix;
  }
}

/** What is wrong in this kitchen, each with why and one button. */
export async function readKitchenCheck(): Promise<{
  findings: FindingView[];
  zones: number;
  packages: number;
}> {
  const context = await viewContext();
  const contents = await readKitchenContents(context);
  const findings = await heavy('checkKitchen', contents.zones, contents.lying, context.today);
  return {
    zones: contents.zones.length,
    packages: [...contents.packages.values()].reduce((sum, group) => sum + group.length, 0),
    findings: findings.map((finding) => ({
      rule: finding.rule,
      title: checkTitle(finding.rule),
      zone: { id: finding.zone.id, name: finding.zone.name, appliance: finding.zone.applianceName },
      says: finding.says,
      why: finding.why,
      fix: toFix(finding, contents),
    })),
  };
}

/** The most groups of packages a tidy run looks at: what presses first. */
const MOST_GROUPS = 300;

/** Moves that make this kitchen better, as a walk from door to door. */
export async function readTidy(): Promise<{ stops: StopView[]; moves: number; gain: number }> {
  const contents = await readKitchenContents(await viewContext());
  const moves = await heavy('tidyMoves', contents.zones, contents.lying.slice(0, MOST_GROUPS));
  const toMove = (move: TidyMove): MoveView => ({
    packages: toTold(move.package.id, contents),
    called: move.package.called,
    from: move.from.name,
    to: move.to.name,
    to_zone: move.to.id,
    gain: move.gain,
    says: move.says,
  });
  return {
    moves: moves.length,
    gain: Math.round(moves.reduce((sum, { gain }) => sum + gain, 0)),
    stops: tidyWalk(moves).map(({ appliance, name, out, inside, into }) => ({
      appliance,
      name,
      out: out.map(toMove),
      inside: inside.map(toMove),
      into: into.map(toMove),
    })),
  };
}

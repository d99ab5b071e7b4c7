import type { ThawMethod } from '../keeping/history';
import type { IntakeLine } from './intakeLine';
import type { DiscardReason } from './package';

export const COMMAND_TYPES = [
  'haul.store',
  'package.take',
  'package.move',
  'package.open',
  'package.freeze',
  'package.thaw',
  'package.discard',
  'ledger.undo',
] as const;
export type CommandType = (typeof COMMAND_TYPES)[number];

interface Base {
  /** UUID; a repeated id answers as the first time. */
  id: string;
  /** When it happened, ISO 8601 UTC. */
  at: string;
}

interface OnPackage extends Base {
  package: string;
  /** The version the cook saw; another one is refused as stale. */
  version: number;
}

export type Command =
  | (Base & { type: 'haul.store'; lines: IntakeLine[] })
  | (OnPackage & { type: 'package.take'; amount: number | null })
  | (OnPackage & { type: 'package.move'; zone: string | null })
  | (OnPackage & { type: 'package.open' })
  | (OnPackage & { type: 'package.freeze'; zone: string })
  | (OnPackage & { type: 'package.thaw'; method: ThawMethod; zone: string | null })
  | (OnPackage & { type: 'package.discard'; reason: DiscardReason; amount: number | null })
  | (Base & { type: 'ledger.undo'; command: string });

import type { ChildProcess } from 'node:child_process';

export function freePort(): Promise<number>;
export function prepareDatabase(url: string, args?: string[], env?: Record<string, string>): Promise<void>;
export function serve(options: {
  port: number;
  host: string;
  url: string;
  env?: Record<string, string>;
  quiet?: boolean;
}): Promise<ChildProcess>;
export function stopPid(pid: number, patienceMs?: number): Promise<void>;
export function ensureBuild(): Promise<void>;
export function ensureModules(): Promise<void>;

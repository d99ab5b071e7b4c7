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
export function say(text: string): void;
export function sayPlainly(error: unknown): string;
export function giveUp(text: string): never;
export function findProgram(...names: string[]): string | null;
export function installPackages(packages: string[], purpose: string): void;

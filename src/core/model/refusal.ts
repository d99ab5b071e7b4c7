/**
 * A rule said no. Nothing was changed. Carries the rule's id (K5, O2 …) or the door's own word (`stale`, `amount` …)
 * and one plain sentence for the cook.
 */
export class Refusal extends Error {
  constructor(
    readonly rule: string,
    readonly says: string,
  ) {
    super(`${rule}: ${says}`);
    this.name = 'Refusal';
  }
}

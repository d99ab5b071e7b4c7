/** Runs once when the server starts. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { householdStanding } = await import('./services/household/standing');
  const shared = globalThis as typeof globalThis & {
    orderlyFrostStanding?: (cookie: string) => Promise<string>;
  };
  shared.orderlyFrostStanding = householdStanding;
}

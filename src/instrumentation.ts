/** Runs once when the server starts: what the server in front of Next.js asks of the kitchen (scripts/server.mjs). */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { householdStanding } = await import('./services/household/standing');
  const { gate } = await import('./services/keys/gate');
  const { countRequests } = await import('./services/keys/countRequests');
  const shared = globalThis as typeof globalThis & {
    orderlyFrostStanding?: (cookie: string) => Promise<{ text: string; whose: string }>;
    orderlyFrostGate?: (address: string, cookie: string) => Promise<string | null>;
    orderlyFrostCount?: (address: string, count: number, most: number) => Promise<number>;
  };
  shared.orderlyFrostStanding = householdStanding;
  shared.orderlyFrostGate = gate;
  shared.orderlyFrostCount = countRequests;
}

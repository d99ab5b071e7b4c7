export function homeAddresses(): string[];
export function homeCertificate(
  folder: string,
  addresses: readonly string[],
): Promise<{ key: string; cert: string }>;

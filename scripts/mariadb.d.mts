export function openThrowaway(
  purpose: string,
): Promise<{ url: string; pid: number; close: () => Promise<void> }>;

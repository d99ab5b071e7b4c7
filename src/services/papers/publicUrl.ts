/** Address of the server as a phone in the house reaches it; `PUBLIC_URL`, without a slash at the end. */
export function publicUrl(): string {
  return (process.env.PUBLIC_URL ?? `http://localhost:${process.env.PORT ?? '3000'}`).replace(/\/+$/, '');
}

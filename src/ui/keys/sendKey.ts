/** Sends one change of the keys, tells what came of it, and shows the page anew. */
export type SendKey = (address: string, body: object) => Promise<boolean>;

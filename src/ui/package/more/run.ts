/** Sends a command on the package that is looked at. */
export type Run = (type: string, more?: Record<string, unknown>) => void;

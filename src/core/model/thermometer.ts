/** Readings of one day (UTC): seconds since midnight and °C, in order of time. */
export type LogDay = [second: number, c: number][];

/** When a thermometer that stays in a compartment calls: warmer than so much for so long. */
export interface Alarm {
  /** °C. */
  aboveC: number;
  minutes: number;
  /** Begins a power cut of its compartment by itself. */
  begins: boolean;
}

/** A thermometer that stays in a compartment and keeps a log. */
export interface Thermometer {
  /** The compartment. */
  part: string;
  alarm: Alarm;
  /** Share of its battery, 0 to 1; `null`: it does not say. */
  battery: number | null;
  /** Its newest reading, ISO 8601 UTC; `null`: nothing was read yet. */
  heardAt: string | null;
  lastC: number | null;
  /** Warmer than its alarm allows since then, and still so when it was last heard; `null`: it is not. */
  warmSince: string | null;
}

/** A freezer that is warmer for an hour is not running; a fridge's door may stand open for half of one. */
export const USUAL_ALARM: Readonly<Record<'fridge' | 'freezer', Alarm>> = {
  freezer: { aboveC: -12, minutes: 60, begins: true },
  fridge: { aboveC: 7, minutes: 30, begins: true },
};

/** A day of the log by the compartment and its date, as it is kept. */
export const logSubject = (part: string, day: string): string => `${part} ${day}`;

/** Minutes that are left: "1 h 05", "25 min", "over time". */
export function sayMinutes(minutes: number): string {
  if (minutes <= 0) return 'over time';
  const hours = Math.floor(minutes / 60);
  return hours === 0 ? `${minutes} min` : `${hours} h ${String(minutes % 60).padStart(2, '0')}`;
}

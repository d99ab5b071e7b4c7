/** "2 h 10 min", "45 min", "26 h". */
export function sayHours(hours: number): string {
  const minutes = Math.round(hours * 60);
  const whole = Math.floor(minutes / 60);
  const rest = minutes % 60;
  if (whole === 0) return `${rest} min`;
  return rest === 0 || whole >= 12 ? `${Math.round(minutes / 60)} h` : `${whole} h ${rest} min`;
}

/** "4.4 °C" with a true minus sign. */
export function sayCelsius(c: number): string {
  return `${(Math.round(c * 10) / 10).toString().replace('-', '−')} °C`;
}

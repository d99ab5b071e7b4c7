/**
 * Standard normals from a seed: the same seed gives the same numbers, so that two forecasts share their chances. Box and
 * Muller's transformation over a 32-bit generator.
 *
 * @param seed any whole number
 */
export function seededNormals(seed: number): { uniform(): number; normal(): number } {
  let state = (seed ^ 0x9e3779b9) >>> 0;
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  let spare: number | null = null;
  return {
    uniform,
    normal() {
      if (spare !== null) {
        const kept = spare;
        spare = null;
        return kept;
      }
      const radius = Math.sqrt(-2 * Math.log(1 - uniform()));
      const angle = 2 * Math.PI * uniform();
      spare = radius * Math.sin(angle);
      return radius * Math.cos(angle);
    },
  };
}

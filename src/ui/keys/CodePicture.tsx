/** A code as a picture to scan. */
export function CodePicture({ modules }: { modules: readonly string[] }) {
  const side = modules.length + 8;
  const path = modules
    .flatMap((row, y) => [...row].flatMap((one, x) => (one === '1' ? [`M${x + 4} ${y + 4}h1v1h-1z`] : [])))
    .join('');
  return (
    <svg role="img" aria-label="The code to scan" viewBox={`0 0 ${side} ${side}`} className="w-56 max-w-full">
      <rect width={side} height={side} fill="#ffffff" />
      <path d={path} fill="#000000" />
    </svg>
  );
}

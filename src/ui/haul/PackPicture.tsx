import type { PackLayout } from '@/core/portions/packLayout';
import { useSay } from '../units/useSay';
import { Box, Flat, Grid, HIGH, Stack, Vessel, WIDE } from './packShapes';
import { mm, sayLayout } from './sayLayout';

const FOOD_FILL: Record<string, string> = {
  'raw-meat': '#d9a293',
  'raw-poultry': '#ecc9a8',
  'raw-fish': '#e8c3b4',
  shellfish: '#d8bfae',
  vegetable: '#b9d0a2',
  fruit: '#d8a7bb',
  herb: '#a9c79a',
  'bread-bake': '#e3c798',
  'soup-sauce': '#e6c28c',
  leftovers: '#e0bd92',
};

/** Fill of a food on a picture; the words beside it tell what it is. */
const foodFill = (group: string): string => FOOD_FILL[group] ?? '#d9d2bf';

function Drawn({ layout, fill }: { layout: PackLayout; fill: string }) {
  switch (layout.kind) {
    case 'flat':
      return <Flat layout={layout} fill={fill} />;
    case 'vessel':
      return <Vessel layout={layout} fill={fill} />;
    case 'cavities':
      return (
        <Grid
          count={layout.cavities}
          across={7}
          round={false}
          fill={fill}
          caption={`${layout.cavities} of ${layout.cavityMl} ml, ${layout.trays} ${layout.trays === 1 ? 'tray' : 'trays'}`}
        />
      );
    case 'pieces':
      return (
        <Grid
          count={layout.pieces}
          across={layout.across}
          round
          fill={fill}
          caption={`about ${layout.pieces} of Ø ${layout.pieceMm} mm, ${layout.layers === 1 ? 'one layer' : `${layout.layers} layers, ${layout.papers} papers`}`}
        />
      );
    case 'stack':
      return <Stack layout={layout} fill={fill} />;
    case 'log':
      return (
        <Box
          wideMm={layout.lengthMm}
          highMm={layout.diameterMm}
          says="log, its length follows"
          fill={fill}
          round
        />
      );
    case 'round':
      return (
        <Box
          wideMm={layout.diameterMm}
          highMm={layout.diameterMm}
          says="about as thick as a ball"
          fill={fill}
          round
        />
      );
    case 'lump':
      return (
        <Box
          wideMm={layout.lengthMm}
          highMm={layout.heightMm}
          says={`${mm(layout.widthMm)} deep`}
          fill={fill}
        />
      );
  }
}

/** One pack drawn to scale, with its measures. */
export function PackPicture({ layout, group }: { layout: PackLayout; group: string }) {
  const say = useSay();
  return (
    <svg
      role="img"
      aria-label={say(sayLayout(layout))}
      viewBox={`0 0 ${WIDE + 50} ${HIGH + 72}`}
      width={WIDE + 50}
      height={HIGH + 72}
      className="max-w-full font-text"
    >
      <Drawn layout={layout} fill={foodFill(group)} />
    </svg>
  );
}

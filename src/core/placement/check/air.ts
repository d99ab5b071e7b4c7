import { type Finding, grouped, type Rule } from './finding';

/** Share of a fridge that may be filled so that air gets round. */
const AIR_LINE = 0.8;

/** C5: a fridge so full that no air gets round. */
export const air: Rule = ({ zones }) =>
  grouped(zones, ({ compartment }) => compartment).flatMap((inside): Finding[] => {
    const [zone] = inside;
    if (!zone || zone.cold !== 'fridge') return [];
    const litres = inside.reduce((sum, one) => sum + one.litres, 0);
    const filled = inside.reduce((sum, one) => sum + one.filledLitres, 0);
    if (litres <= 0 || filled / litres <= AIR_LINE) return [];
    const fullness = (one: (typeof inside)[number]): number => one.filledLitres / one.litres;
    const fullest = [...inside].sort((a, b) => fullness(b) - fullness(a))[0] ?? zone;
    return [
      {
        zone: fullest,
        packages: [],
        says: `${zone.applianceName} is ${Math.round((filled / litres) * 100)} % full, ${fullest.name} most of all.`,
        why: `A fridge needs air: about ${AIR_LINE * 100} % at most, else it grows warm inside.`,
        fix: { kind: 'look', zone: fullest.id },
      },
    ];
  });

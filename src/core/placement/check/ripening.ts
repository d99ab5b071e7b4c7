import { clash } from '../softScore';
import { elsewhere, type Finding, type Rule } from './finding';

/** C3: what gives off ethylene beside what it ripens. */
export const ripening: Rule = (look) =>
  look.zones
    .filter(({ cold }) => cold === 'fridge')
    .flatMap((zone) => {
      const inside = look.inside(zone);
      const givers = inside.filter(({ food }) => food.ethylene === 'giver' || food.ethylene === 'both');
      return givers.flatMap((giver): Finding[] => {
        const taker = inside.find(({ food }) => food.id !== giver.food.id && clash(giver.food, food));
        if (!taker) return [];
        return [
          {
            zone,
            packages: [giver, taker],
            says: `${giver.called} ripens ${taker.called} in ${zone.name}.`,
            why: 'Ethylene from the one yellows and softens the other.',
            fix: elsewhere(giver, look),
          },
        ];
      });
    });

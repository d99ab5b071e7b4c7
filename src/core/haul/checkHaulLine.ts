import { MOST_PACKS } from '../model/limits';
import type { Food } from '../model/food';
import type { Container } from '../model/container';
import { packLayout } from '../portions/packLayout';
import { packingOf } from '../portions/packing';
import { sayAmount } from '../units/sayAmount';
import type { HaulLine, HaulPart } from '../model/haul';

/** What keeps a line from being packed. */
export interface HaulFault {
  rule: string;
  says: string;
}

function partFault(
  { food, line }: { food: Food; line: HaulLine },
  part: HaulPart,
  container: Container | null,
): HaulFault | null {
  const packing = packingOf(part.packing);
  if (part.goes === 'freezer' && food.freezeFit === 'no') {
    const why = food.note === '' ? '' : ` ${food.note}`;
    return { rule: 'K5', says: `${food.name} must not be frozen.${why}` };
  }
  if (packing.reused && food.readiness === 'raw-animal') {
    return { rule: 'packing', says: `A ${packing.name} is never for raw meat. Take a new one.` };
  }
  if (packing.id === 'oil-cubes' && part.goes !== 'freezer') {
    return { rule: 'packing', says: 'Herbs under oil are safe frozen only: send them to the freezer.' };
  }
  if (part.goes === 'room' && food.controlled) {
    return { rule: 'K10', says: `${food.name} belongs in the cold; it cannot be kept out.` };
  }
  const amount = Math.max(...part.amounts);
  const layout = packLayout(packing, { amount, unit: line.unit }, food, container);
  if (layout.kind !== 'vessel') return null;
  const most = part.goes === 'freezer' ? layout.fillMl : Math.floor(layout.capacityMl);
  if (layout.packMl <= most) return null;
  const packs = Math.ceil((layout.packMl * part.amounts.length) / Math.max(1, most));
  const line1 =
    part.goes === 'freezer'
      ? `${most} ml go in below the fill line, ${layout.headspaceMm} mm under the rim`
      : `it holds ${most} ml`;
  return {
    rule: 'packing',
    says: `A pack is ${layout.packMl} ml; ${line1}. Make ${packs} packs of it, or take a larger one.`,
  };
}

/**
 * Why a line cannot be packed as it is planned; `null`: it can. The same check runs at the bench and behind the door.
 *
 * @param containerOf the household's containers by id
 */
export function checkHaulLine(
  line: HaulLine,
  food: Food,
  containerOf: (id: string) => Container | null,
): HaulFault | null {
  const amounts = line.parts.flatMap((part) => part.amounts);
  const total = sayAmount(line.amount, line.unit);
  if (amounts.length === 0) return { rule: 'portions', says: `${food.name}: into how many packs?` };
  if (amounts.length > MOST_PACKS) {
    return {
      rule: 'portions',
      says: `${amounts.length} packs are more than the ${MOST_PACKS} a line may have.`,
    };
  }
  if (amounts.some((amount) => !Number.isInteger(amount) || amount < 1)) {
    return { rule: 'portions', says: `${total} does not make ${amounts.length} packs.` };
  }
  const sum = amounts.reduce((all, amount) => all + amount, 0);
  if (sum !== line.amount) {
    return {
      rule: 'portions',
      says: `The packs are ${sayAmount(sum, line.unit)} together; ${total} came in.`,
    };
  }
  if (line.pieces !== null && line.pieces < amounts.length) {
    return { rule: 'portions', says: `${line.pieces} pieces do not make ${amounts.length} packs.` };
  }
  for (const part of line.parts) {
    const container = part.container === null ? null : containerOf(part.container);
    if (part.container !== null && container === null) {
      return { rule: 'container', says: 'That container is no longer among yours; choose another.' };
    }
    const fault = partFault({ food, line }, part, container);
    if (fault) return fault;
  }
  return null;
}

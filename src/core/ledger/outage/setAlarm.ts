import type { CommandKind } from '../../model/command';
import { Refusal } from '../../model/refusal';
import { type Alarm, USUAL_ALARM } from '../../model/thermometer';
import { sayCelsius } from '../../powercut/sayCut';
import { keptDecided } from '../settings/keptDecided';
import { drawnPart } from './beginCut';

/** When the thermometer of a compartment calls, and whether it begins a cut by itself; `null`: as usual. @throws Refusal `cut` */
export const setAlarmCommand: CommandKind<{ part: string; alarm: Alarm | null }> = {
  type: 'log.alarm',
  needs: () => ({ kept: ['thermometer'] }),
  decide: ({ part, alarm }, world) => {
    const drawn = drawnPart(world, { id: part, fill: 0, doors: 'unknown' });
    if (!drawn) throw new Refusal('cut', 'That appliance is not drawn any more.');
    const before = world.kept('thermometer', part);
    const wanted = alarm ?? USUAL_ALARM[drawn.kind];
    return keptDecided(
      world,
      'thermometer',
      part,
      {
        ...(before ?? { part, battery: null, heardAt: null, lastC: null, warmSince: null }),
        alarm: wanted,
      },
      `${drawn.called} calls when it is over ${sayCelsius(wanted.aboveC)} for ${wanted.minutes} min.`,
    );
  },
};

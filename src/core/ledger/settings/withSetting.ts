import type { Setting } from '../../model/setting';
import type { World } from '../../model/world';
import { settingKind } from './settingKinds';

/** The world as it is once something has been set. */
export function withSetting(world: World, setting: Setting): World {
  return settingKind(setting).apply?.(world, setting) ?? world;
}

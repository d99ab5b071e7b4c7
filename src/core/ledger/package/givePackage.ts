import { HOUSEHOLD_MAY } from '../../model/role';
import { packageCommand } from './packageCommand';
import type { Taking } from './reduced';
import { takePackage } from './takePackage';

/** Gives a package away, all of it or a part; what is to be thrown out is not given. */
export const givePackageCommand = packageCommand(
  'package.give',
  (command: Taking, world) => takePackage(command, world, 'given'),
  HOUSEHOLD_MAY,
);

// Outlives the run it watches over and ends what that has left: node scripts/keeper.mjs PID BORN
import process from 'node:process';
import { cleanUp, isSame } from './children.mjs';
import { pause } from './machine.mjs';

const [, , pid, born] = process.argv;
const owner = { pid: Number(pid), born: born === '' ? null : born };

while (isSame(owner)) await pause(400);
await cleanUp(owner.pid);

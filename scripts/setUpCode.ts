import { asksForKeys } from '../src/services/keys/asksForKeys';
import { newSetUpCode } from '../src/services/keys/join';
import { publicUrl } from '../src/services/papers/publicUrl';
import { closeDatabase } from '../src/store/database';

/** Whoever has this terminal has the machine: the way in when there is nobody yet, or every password is lost (`--always`). */
const always = process.argv.includes('--always');

async function saySetUpCode(): Promise<void> {
  if (!always && !asksForKeys()) return;
  const code = await newSetUpCode(always);
  if (code === null) return;
  console.log(`Set-up code, for a day and once: ${code}`);
  console.log(`Open ${publicUrl()}/join#${code} and become a cook of every household here.`);
}

saySetUpCode()
  .catch((error: unknown) => {
    console.error(error);
    process.exitCode = 1;
  })
  .finally(closeDatabase);

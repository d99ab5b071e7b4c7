import { BadReference, loadReference } from '../src/services/household/reference';
import { resetDemo, seedWhenEmpty } from '../src/services/household/demo';
import { renewFigures } from '../src/services/household/renewFigures';
import { renewMeasures } from '../src/services/household/renewMeasures';
import { closeDatabase } from '../src/store/database';
import { migrate } from '../src/store/migrations';

/** Brings a database up to date: migrations, reference data, the demo household when there is none. */
async function prepare(): Promise<void> {
  const done = await migrate();
  if (done.length > 0) console.log(`Schema: applied ${done.join(', ')}`);
  if (await loadReference()) console.log('Reference data: loaded');
  const measured = await renewMeasures();
  if (measured > 0) console.log(`Packages: ${measured} measured anew`);
  if ((await renewFigures()) > 0)
    console.log('Packages: dated earlier by stricter figures; the ledger says which');
  if (process.argv.includes('--reset')) {
    await resetDemo();
    console.log('Demo household: begun again');
  } else if (!process.argv.includes('--no-demo') && (await seedWhenEmpty())) {
    console.log('Demo household: Skerry Row moved in');
  }
}

prepare()
  .catch((error: unknown) => {
    console.error(error instanceof BadReference ? error.message : error);
    process.exitCode = 1;
  })
  .finally(closeDatabase);

import { readHouseholdChoice } from '@/services/household/households';
import { Doors } from '@/ui/start/Doors';

/** The two doors: the demo to look around in, and one's own kitchen. */
export default async function StartPage() {
  return <Doors choice={await readHouseholdChoice()} />;
}

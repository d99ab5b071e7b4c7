import type { Metadata } from 'next';
import { signedIn } from '@/services/keys/whoAsks';
import { JoinForm } from '@/ui/keys/JoinForm';
import { KeyDoor } from '@/ui/keys/KeyDoor';

export const metadata: Metadata = { title: 'Come in by a code · Orderly Frost' };

export default async function JoinPage() {
  const me = (await signedIn())?.name ?? null;
  return (
    <KeyDoor
      title="Come in by a code"
      says={
        me === null
          ? 'A cook shows it under Kitchen, Keys; the first one stands in the terminal of the server. It counts once, for a day.'
          : `You are ${me} here already. The code takes you into one more household.`
      }
    >
      <JoinForm me={me} />
    </KeyDoor>
  );
}

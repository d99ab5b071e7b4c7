export const dynamic = 'force-dynamic';

export default function BlankPage() {
  return <p>nothing</p>;
}

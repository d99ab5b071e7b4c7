import Link from 'next/link';

export default function NotFound() {
  return (
    <div className="card mx-auto max-w-lg space-y-3 p-6">
      <h1 className="text-2xl">Nothing is behind this code</h1>
      <p>It may have been changed since the label was printed. Ask whoever keeps this kitchen.</p>
      <Link href="/sign-in" className="button">
        I have a key
      </Link>
    </div>
  );
}

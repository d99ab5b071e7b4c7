import Link from 'next/link';

export default function NotFound() {
  return (
    <div className="card mx-auto max-w-xl p-8">
      <h1 className="text-2xl">There is nothing here</h1>
      <p className="mt-2">
        No place or package has that address. If it came from a label, the package may have been undone.
      </p>
      <Link href="/stock" className="button mt-4" data-main="true">
        Look in Stock
      </Link>
    </div>
  );
}

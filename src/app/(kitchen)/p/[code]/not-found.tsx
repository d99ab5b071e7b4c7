import type { Metadata } from 'next';
import Link from 'next/link';
import { UnknownCode } from '@/ui/scan/UnknownCode';

export const metadata: Metadata = { title: 'No such label' };

/** A label was scanned, and nothing carries its code: what to do. */
export default function NoSuchLabel() {
  return (
    <div className="card mx-auto max-w-xl p-6">
      <h1 className="text-2xl">There is nothing here by that code</h1>
      <p className="mt-2">No package of this household carries it. It may be one of these:</p>
      <ul className="mt-2 list-disc space-y-1 pl-6">
        <li>A letter or figure was misread: look again, or find it by its name.</li>
        <li>It was stored and undone, or the label is of another household.</li>
        <li>The label belongs to nothing any more, and the food is nameless: say what can be seen.</li>
      </ul>
      <div className="mt-4 flex flex-wrap gap-2">
        <UnknownCode />
        <Link href="/stock/lump" className="button">
          What is this?
        </Link>
        <Link href="/stock" className="button">
          Look in Stock
        </Link>
      </div>
    </div>
  );
}

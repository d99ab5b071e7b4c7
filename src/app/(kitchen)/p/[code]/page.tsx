import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readPackage } from '@/services/stock/package';
import { orNotFound } from '@/services/door/problem';
import { PackageCard } from '@/ui/package/PackageCard';

type Params = Promise<{ code: string }>;

export async function generateMetadata({ params }: { params: Params }): Promise<Metadata> {
  return { title: (await params).code.toUpperCase().slice(0, 12) };
}

/** Where the code on a label leads. */
export default async function PackagePage({ params }: { params: Params }) {
  const { code } = await params;
  const detail = await inOurUnits(await orNotFound(readPackage(code)));
  if (!detail) notFound();
  return (
    <article className="card mx-auto max-w-2xl p-5">
      <h1 className="mb-4 text-2xl">
        {detail.food.name}, {detail.amount_words}
      </h1>
      <PackageCard detail={detail} />
    </article>
  );
}

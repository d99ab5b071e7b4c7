/** Other long answers are being worked out: this page comes in a moment. */
export function BusyPage({ title, here }: { title: string; here: string }) {
  return (
    <>
      <h1 className="text-[1.6rem]">{title}</h1>
      <div className="card mt-3 max-w-2xl p-8">
        <p>Other long answers are being worked out, so this one takes too long. Ask again in a minute.</p>
        <a className="button mt-4" data-main="true" href={here}>
          Ask again
        </a>
      </div>
    </>
  );
}

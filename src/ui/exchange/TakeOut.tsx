/** What each table has in it. */
const TABLE_WORDS: Readonly<Record<string, string>> = {
  stock: 'every package that is here',
  ledger: 'everything that was told',
  foods: 'foods of your own',
  wishes: 'stricter figures of yours',
  zones: 'the drawn kitchen',
  containers: 'what you own to pack in',
  readings: 'what thermometers said',
  shopping: 'the list',
};

/** A household to take away: whole, or a table of it. */
export function TakeOut({ tables, cook }: { tables: readonly string[]; cook: boolean }) {
  return (
    <section className="card space-y-4 p-5" aria-labelledby="take-out">
      <h2 id="take-out" className="text-lg">
        Take out
      </h2>
      {cook && (
        <div>
          <a className="button" data-main="true" href="/api/v1/exchange/household" download>
            The whole household (JSON)
          </a>
          <p className="mt-1 text-slate">
            Comes in again as it was, here or elsewhere; photos too. Keys are never in it.
          </p>
        </div>
      )}
      <ul className="divide-y divide-line border-y border-line">
        {tables.map((name) => (
          <li key={name}>
            <a
              className="flex min-h-12 flex-wrap items-center gap-x-2 hover:bg-rime"
              href={`/api/v1/exchange/table?table=${name}`}
              download
            >
              <b className="underline underline-offset-4">{name}.csv</b>
              <span className="text-slate">{TABLE_WORDS[name]}</span>
            </a>
          </li>
        ))}
      </ul>
      <p className="text-slate">
        Tables open in any spreadsheet and come in again, row by row; the ledger only with the whole
        household. Lists and labels to print are where they belong: Stock, Shopping, Household.
      </p>
    </section>
  );
}

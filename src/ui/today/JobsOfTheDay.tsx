'use client';

import Link from 'next/link';
import type { JobView } from '@/services/today/jobs';
import { useDoor } from '../door/useDoor';

/** Jobs of the day: heads-ups that wait, thaw steps, rounds and upkeep, each with one button. */
export function JobsOfTheDay({ jobs, asking }: { jobs: JobView[]; asking: number }) {
  return (
    <section aria-labelledby="jobs" className="flex items-center gap-3">
      <h2 id="jobs" className="w-12 shrink-0 text-base leading-tight">
        Jobs today
      </h2>
      <ul className="flex min-w-0 flex-1 gap-2 overflow-x-auto pb-1">
        {asking > 0 && (
          <li className="job">
            <a href="#first-out" className="flex min-h-11 items-center px-3">
              <span>
                <b className="font-heading font-semibold">Answer {asking}</b>
                <span className="block text-[0.9375rem] text-slate">first out</span>
              </span>
            </a>
          </li>
        )}
        {jobs.map((job) => (
          <li key={job.id} className="job">
            <JobWords job={job} />
            {job.done && <DoneButton job={job} done={job.done} />}
          </li>
        ))}
        {asking === 0 && jobs.length === 0 && (
          <li className="flex min-h-11 items-center text-slate">Nothing to do today.</li>
        )}
      </ul>
      <a
        className="button shrink-0"
        href="/api/v1/slip"
        target="_blank"
        rel="noreferrer"
        aria-label="Morning slip to print, PDF"
      >
        Slip
      </a>
    </section>
  );
}

function wordOf(done: NonNullable<JobView['done']>): string {
  switch (done.type) {
    case 'package.thaw':
      return done.zone === null ? 'Thawed' : 'Moved down';
    case 'labels.print':
      return 'It has a new label';
    case 'lot.looked':
      return 'Looked at';
    case 'job.done':
      return 'Done';
  }
}

function DoneButton({ job, done }: { job: JobView; done: NonNullable<JobView['done']> }) {
  const { act, busy } = useDoor();
  const word = wordOf(done);
  return (
    <button
      type="button"
      className="button border-transparent px-2"
      disabled={busy}
      aria-label={`${word}: ${job.says}`}
      title={word}
      onClick={() => void act(done)}
    >
      <Tick />
    </button>
  );
}

/** A tick, drawn here: the icons' own machinery would be fetched with the first page for this one alone. */
function Tick() {
  return (
    <svg
      aria-hidden
      width={22}
      height={22}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth={2}
    >
      <path d="M20 6 9 17l-5-5" strokeLinecap="round" strokeLinejoin="round" />
    </svg>
  );
}

/** What a job is; that of a package opens it, with the trail of its date. */
function JobWords({ job }: { job: JobView }) {
  const { showPackage } = useDoor();
  const words = (
    <>
      <b className="font-heading font-semibold">{job.short}</b>
      <span className="block text-[0.9375rem] text-slate">{job.due_words}</span>
    </>
  );
  if (job.href !== undefined) {
    return (
      <Link href={job.href} className="min-h-11 py-1 pr-2 pl-3 whitespace-nowrap" aria-label={job.says}>
        {words}
      </Link>
    );
  }
  if (job.code === null) {
    return (
      <span className="py-1 pl-3 whitespace-nowrap" title={job.says}>
        {words}
      </span>
    );
  }
  const { code } = job;
  return (
    <button
      type="button"
      className="min-h-11 cursor-pointer py-1 pl-3 text-left whitespace-nowrap"
      aria-label={`${job.says}. All about ${code}`}
      onClick={() => showPackage(code)}
    >
      {words}
    </button>
  );
}

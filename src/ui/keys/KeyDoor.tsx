import type { ReactNode } from 'react';

/** A page in front of the kitchen: a shut door with a keyhole, and what opens it. */
export function KeyDoor({ title, says, children }: { title: string; says: string; children: ReactNode }) {
  return (
    <div className="card mx-auto flex max-w-3xl flex-col gap-6 p-5 sm:flex-row sm:p-8">
      <svg aria-hidden viewBox="0 0 120 190" className="mx-auto h-40 w-28 shrink-0 sm:h-72 sm:w-44">
        <rect
          x="6"
          y="4"
          width="108"
          height="182"
          rx="9"
          fill="var(--ice-top)"
          stroke="var(--ink)"
          strokeWidth="3"
        />
        <path d="M6 62h108" stroke="var(--ink)" strokeWidth="3" />
        <path d="M20 22v24M20 84v46" stroke="var(--ink)" strokeWidth="6" strokeLinecap="round" />
        <rect
          x="48"
          y="86"
          width="38"
          height="24"
          fill="var(--tape)"
          stroke="var(--tape-edge)"
          transform="rotate(-3 67 98)"
        />
        <path
          d="M54 95h26M54 102h16"
          stroke="var(--tape-ink)"
          strokeWidth="2.5"
          strokeLinecap="round"
          transform="rotate(-3 67 98)"
        />
        <circle cx="22" cy="146" r="5.5" fill="var(--ink)" />
        <path d="M22 146v14" stroke="var(--ink)" strokeWidth="5" strokeLinecap="round" />
      </svg>
      <div className="min-w-0 flex-1">
        <h1 className="text-[1.8rem] leading-tight">{title}</h1>
        <p className="mt-1 mb-5 text-lg text-slate-deep">{says}</p>
        {children}
      </div>
    </div>
  );
}

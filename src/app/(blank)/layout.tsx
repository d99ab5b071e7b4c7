import type { ReactNode } from 'react';

/** A page with nothing on it and nothing around it: what Today is measured against (npm run bench). */
export default function BlankLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>{children}</body>
    </html>
  );
}

'use client';

import { DatabaseGone } from '@/ui/shell/DatabaseGone';

export default function GlobalError() {
  return (
    <html lang="en">
      <body>
        <DatabaseGone />
      </body>
    </html>
  );
}

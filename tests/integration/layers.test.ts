import { spawnSync } from 'node:child_process';

/** What ESLint says of a file with this text at this place. */
function lint(file: string, text: string): string {
  const made = spawnSync(
    'node_modules/.bin/eslint',
    ['--stdin', '--stdin-filename', file, '--format', 'json'],
    {
      input: text,
      encoding: 'utf8',
    },
  );
  const [result] = JSON.parse(made.stdout) as { messages: { ruleId: string; message: string }[] }[];
  return (result?.messages ?? []).map(({ ruleId, message }) => `${ruleId} ${message}`).join('\n');
}

describe('arrows between layers', () => {
  it.each([
    [
      'src/core/keeping/x.ts',
      "import { sql } from '../../store/database';\nexport const x = sql;\n",
      'Arrows between layers',
    ],
    [
      'src/core/keeping/x.ts',
      "import { useState } from 'react';\nexport const x = useState;\n",
      'The core is pure',
    ],
    ['src/core/keeping/x.ts', "import next from 'next';\nexport const x = next;\n", 'The core is pure'],
    [
      'src/core/keeping/x.ts',
      "import mysql from 'mysql2/promise';\nexport const x = mysql;\n",
      'The core is pure',
    ],
    ['src/core/keeping/x.ts', "import fs from 'node:fs';\nexport const x = fs;\n", 'The core is pure'],
    ['src/core/keeping/x.ts', "import path from 'path';\nexport const x = path;\n", 'The core is pure'],
    ['src/core/keeping/x.ts', 'export const x = Math.random();\n', 'Chance is passed in'],
    ['src/core/keeping/x.ts', 'export const x = Date.now();\n', 'The clock is passed in'],
    [
      'src/ui/today/x.ts',
      "import { sql } from '@/store/database';\nexport const x = sql;\n",
      'Arrows between layers',
    ],
    [
      'src/services/x.ts',
      "import { useDoor } from '@/ui/door/DoorProvider';\nexport const x = useDoor;\n",
      'Arrows between layers',
    ],
    [
      'src/store/x.ts',
      "import { now } from '@/services/door/clock';\nexport const x = now;\n",
      'Arrows between layers',
    ],
  ])('%s may not: %s', (file, text, says) => {
    expect(lint(file, text)).toContain(says);
  });

  it('let the ones that point down pass', () => {
    const text =
      "import { judgeKeeping } from '@/core/keeping/judgeKeeping';\nimport { sql } from '@/store/database';\nexport const x = [judgeKeeping, sql];\n";
    expect(lint('src/services/x.ts', text)).toBe('');
  });
});

/** Sentences that name no verb of ours first, and the line they mean. */
const MEANT: readonly (readonly [RegExp, string])[] = [
  [
    /^(?:have (?:we|i)(?: got)?|do (?:we|i) have|is there|are there|got)\s+any\s+(.+?)(?:\s+left)?\s*\?*$/i,
    'where $1',
  ],
  [/^(?:have (?:we|i)(?: got)?|do (?:we|i) have|is there|are there)\s+(.+?)(?:\s+left)?\s*\?*$/i, 'where $1'],
  [/^how (?:much|many)\s+(.+?)\s+(?:is|are|do|have|has|did)\b.*$/i, 'where $1'],
  [/^(where)\s+(?:did|have|do)\s+(?:i|we|you)\s+(?:put|leave|left|keep)\s+(.+)$/i, '$1 $2'],
  [
    /^(?:the|my|our|that)\s+(.+?)\s+(?:is|are|was|were|has gone|have gone|went|smells?|looks?)\s+(mou?ldy|off|bad|slimy|rotten|spoiled|spoilt|expired)\s*[.!]*$/i,
    'bin the $1 $2',
  ],
  [/^(?:there(?:'s|’s| is| are)\s+)?no more\s+(.+?)(?:\s+left)?\s*[.!]*$/i, 'finished the $1'],
  [
    /^(?:we(?:'re|’re| are)\s+|i(?:'m|’m| am)\s+)?(?:all )?out of\s+(?!date\b|season\b)(.+?)\s*[.!]*$/i,
    'finished the $1',
  ],
  [
    /^(?:the|my|our)\s+(.+?)\s+(?:is|are)\s+(?:all\s+)?(?:gone|finished|used up|empty)\s*[.!]*$/i,
    'finished the $1',
  ],
  [
    /^(?:(?:i|we)\s+)?(?:put|popped|moved|stuck)\s+((?:the|my|our|that)\s+.+?)\s+(?:in|into|to)\s+the freezer\s*[.!]*$/i,
    'freeze $1',
  ],
];

/** The line that a sentence means as people say it: "is there any milk?" is "where milk", "no more butter" is "finished the butter". Other text stays. */
export function asVerbLine(text: string): string {
  const said = text.trim();
  const [pattern, line = ''] = MEANT.find(([one]) => one.test(said)) ?? [];
  return pattern ? said.replace(pattern, line) : text;
}

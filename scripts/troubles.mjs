// What the reports of the suites tell of tests that did not pass at once: which, why, and what the page showed.
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './machine.mjs';

const MOST_SEEN = 6_000;
/** Without the lines of a stack that are not ours. */
const shortened = (words) =>
  words
    .split('\n')
    .filter((line) => !/^\s+at .*(node_modules|node:internal)/.test(line))
    .join('\n')
    .slice(0, MOST_SEEN);

/** Each file of a Jest report: how many of it passed, and what failed. A report that was never written has none. */
export function filesOf(report) {
  return (report?.testResults ?? []).map(({ name, assertionResults, status, message }) => {
    const failed = assertionResults.filter((one) => one.status === 'failed');
    const file = path.relative(ROOT, name);
    const troubles = failed.map(({ fullName, failureMessages }) => ({
      title: `${file} › ${fullName}`,
      seen: failureMessages.map(shortened),
    }));
    // A file that could not even be read has no test that failed.
    if (troubles.length === 0 && status === 'failed')
      troubles.push({ title: file, seen: [shortened(message)] });
    return { file, passed: assertionResults.filter((one) => one.status === 'passed').length, troubles };
  });
}

/** The tests of a Playwright report that did not pass at once, and what the page showed then. */
export function browserTroubles(suites = []) {
  return suites.flatMap(({ suites: inner = [], specs = [], file }) => [
    ...specs.flatMap(({ title, tests }) =>
      tests
        .filter(({ status }) => status === 'unexpected' || status === 'flaky')
        .map(({ status, results }) => ({
          title: `${file} › ${title}`,
          passedAgain: status === 'flaky',
          seen: results.flatMap(pageOf),
        })),
    ),
    ...browserTroubles(inner),
  ]);
}

/** The page when a test failed, as text. */
function pageOf({ attachments }) {
  return attachments
    .filter(({ name, path: file }) => name === 'error-context' && file)
    .flatMap(
      ({ path: file }) =>
        /(?<=# Error details)[\s\S]*?(?=\n# Test source|$)/.exec(readFileSync(file, 'utf8')) ?? [],
    )
    .map(shortened);
}

/** All of them in words, those that failed for good last, so that they stand at the end of the log. */
export function troublesInWords(troubles) {
  return troubles
    .toSorted((a, b) => Number(b.passedAgain) - Number(a.passedAgain))
    .flatMap(({ title, passedAgain, seen }) => [
      passedAgain ? `Failed once, passed when run again: ${title}` : `Failed: ${title}`,
      ...seen,
    ]);
}

import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { mean, sampleStandardDeviation } from 'simple-statistics';
import type { Habit } from './habits';
import type { Truth } from './larder';
import type { Year } from './year';

/** Years of one habit. */
export interface Lived {
  habit: Habit;
  years: Year[];
}

/** Two-sided 95 % of Student's t for the degrees of freedom that are used; beyond thirty the normal. */
const T_95: Readonly<Record<number, number>> = {
  4: 2.776,
  9: 2.262,
  14: 2.145,
  19: 2.093,
  24: 2.064,
  29: 2.045,
};
const MARGIN = 1.96;

interface Interval {
  mean: number;
  half: number;
}

function interval(values: readonly number[]): Interval {
  const all = [...values];
  const t = T_95[all.length - 1] ?? MARGIN + 2 / Math.max(1, all.length - 1);
  return {
    mean: mean(all),
    half: all.length > 1 ? (t * sampleStandardDeviation(all)) / Math.sqrt(all.length) : 0,
  };
}

const FIGURES = {
  waste: { name: 'wasted, kg a year', of: ({ wasted }: Year) => wasted / 1000 },
  share: { name: 'of what came in, %', of: ({ wasted, bought }: Year) => (100 * wasted) / bought },
  unsafe: { name: 'unsafe meals', of: ({ unsafe }: Year) => unsafe },
  tired: { name: 'tired meals', of: ({ tired }: Year) => tired },
  short: { name: 'wanted and not there, kg', of: ({ short }: Year) => short / 1000 },
  minutes: { name: 'minutes a week', of: ({ minutes }: Year) => minutes / 52 },
} as const;
type Figure = keyof typeof FIGURES;

const said = ({ mean: middle, half }: Interval): string => `${middle.toFixed(1)} ± ${half.toFixed(1)}`;

function table(lived: readonly Lived[]): string {
  const keys = Object.keys(FIGURES) as Figure[];
  const head = ['habit', ...keys.map((key) => FIGURES[key].name)];
  const rows = lived.map(({ habit, years }) => [
    habit.name,
    ...keys.map((key) => said(interval(years.map(FIGURES[key].of)))),
  ]);
  return [head, head.map(() => '---'), ...rows].map((row) => `| ${row.join(' | ')} |`).join('\n');
}

/** A picture of one figure by habit, drawn by the chart library of the product in a browser. */
async function draw(file: string, figure: Figure, lived: readonly Lived[]): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 900, height: 420 } });
    await page.setContent(
      '<body style="margin:0"><div id="chart" style="width:900px;height:420px"></div></body>',
    );
    await page.addScriptTag({
      path: path.join('node_modules', 'plotly.js-basic-dist-min', 'plotly-basic.min.js'),
    });
    const bars = lived.map(({ habit, years }) => ({
      name: habit.name,
      ...interval(years.map(FIGURES[figure].of)),
    }));
    await page.evaluate(
      ({ told, title }) =>
        (
          window as unknown as { Plotly: { newPlot: (...args: unknown[]) => Promise<unknown> } }
        ).Plotly.newPlot(
          'chart',
          [
            {
              type: 'bar',
              x: told.map(({ name }) => name),
              y: told.map((one) => one.mean),
              error_y: { type: 'data', array: told.map(({ half }) => half), color: '#16302f' },
              marker: { color: told.map(({ name }) => (name === 'Orderly Frost' ? '#1d4f63' : '#8fc1d4')) },
            },
          ],
          {
            font: { family: 'sans-serif', size: 15, color: '#16302f' },
            margin: { l: 70, r: 16, t: 16, b: 60 },
            yaxis: { title: { text: title }, rangemode: 'tozero' },
          },
          { staticPlot: true },
        ),
      { told: bars, title: FIGURES[figure].name },
    );
    await page.screenshot({ path: file });
  } finally {
    await browser.close();
  }
}

const less = (from: readonly Lived[], name: string): string => {
  const share = (which: string): number => {
    const its = from.find(({ habit }) => habit.name === which)?.years ?? [];
    return interval(its.map(FIGURES.waste.of)).mean;
  };
  return `${Math.round(100 * (1 - share(name) / share('no dates')))} %`;
};

/** Writes docs/simulated-years.md and its two pictures. */
export async function writeReport(
  seeds: number,
  lived: readonly Lived[],
  variants: readonly Lived[],
  harder: { truth: Truth; lived: readonly Lived[] }[],
): Promise<void> {
  await draw('docs/simulated-waste.png', 'waste', lived);
  await draw('docs/simulated-unsafe.png', 'unsafe', lived);
  const of = (figure: Figure, name: string): string => {
    const its = [...lived, ...variants].find(({ habit }) => habit.name === name)?.years ?? [];
    return interval(its.map(FIGURES[figure].of)).mean.toFixed(1);
  };
  const waste = (name: string): string => of('waste', name);
  const unsafe = (name: string): string => of('unsafe', name);
  const text = `# Simulated household years

${seeds} seeded years of a household of four for each habit; \`npm run simulate ${seeds}\` makes this page again. Means with 95 % intervals
(Student’s t over the years). One seed brings every habit the same guests, evenings out, warm doors, power cuts and hidden lives of food.

Orderly Frost’s rows are lived with the product’s own core: dates by \`judgeKeeping\`, order by \`firstOutKey\`, verdicts by
\`keepingOn\`, spoiling in a warm fridge by \`chilledRate\`. The others use the core only for the truth of the food.

${table(lived)}

Against “no dates”, Orderly Frost wastes **${less(lived, 'Orderly Frost')}** less; a paper list ${less(lived, 'a paper list')}.

![Wasted by habit](simulated-waste.png)

![Unsafe meals by habit](simulated-unsafe.png)

## What changes when one piece of advice changes

${table(variants)}

What we read from it:

- **Freezing in time does most.** Never done, ${waste('never frozen in time')} kg are wasted a year; on the last day ${waste('frozen on the last day')}; the day before ${waste('Orderly Frost')}; two days before
  ${waste('frozen two days ahead')}. The product asks the day before a date. What this changed in it: Today names what nothing is planned for **two days** before
  its date, while freezing still makes sense.
- **Dates without the order waste more than no dates**: everything told and nothing obeyed comes to ${waste('everything told, nothing obeyed')} kg, for what is past its
  date is thrown out and nothing was done to eat it before. Half obeyed it is ${waste('everything told, half of it obeyed')} kg. So the product shows what goes first before it
  shows what is past.
- **Unsafe meals come from what was never told**: with everything told there are ${unsafe('everything told')} a year, with three things of a hundred untold
  ${unsafe('Orderly Frost')}, with a third untold ${unsafe('a third is not told')}.
- Rounds hardly change the waste of this household and take three minutes a week; they halve the tired meals and some of the unsafe ones,
  for they look at what was never told, too. They are offered by when a food wants a look, not every day.

## When the truth is harder

Published figures are assumed to hold a wide margin. Were it thinner, going by them would be less safe: no bookkeeping mends that.

${harder
  .map(
    ({ truth, lived: its }) =>
      `True life of controlled food ${truth.controlledLife} × the published longest figure (spread ${truth.spread}):\n\n${table(its)}`,
  )
  .join('\n\n')}

## What is assumed

- Four people eat about 2.3 kg a day from the cold in six kinds (mains, sides, dairy, fruit, bread, cold cuts); one evening of ten most are
  out, one of twenty brings guests. Of a cooked main a third is left now and then.
- A weekly shop buys what is eaten plus 5 %, less what one knows to be there: all that is written, and six of ten of what is not.
- True lives are log-normal: for controlled food 2.2 × the longest published figure, for the rest 1.3 ×, spread 0.25. A fridge goes warm
  (8 °C) once a year, the power fails one and a half times for 1 to 30 hours.
- A nose finds half of what is unsafe, eyes 85 % of what is tired. An “unsafe meal” is one with controlled food past its hidden safe life;
  most such meals make nobody ill. None of these figures is measured: they are our own guesses, the same for every habit.
- Minutes: to bring in a thing 2 s without records, 20 s on paper, 9 s by line and label; to take one 8 s where one knows where it lies,
  else 10 to 20 s.

## Where the product does not help

- A household that shops every day for the day has next to nothing to waste: then the records cost minutes and gain little.
- What is not told is not known: that is where its unsafe meals come from (see the table above).
- A cook who throws out by the date and eats by hand wastes more than one who keeps no dates at all.
- It takes minutes: more than putting things in front of each other, less than a paper list.
- It does not make food last longer than it does, and a nose stays a poor judge of safety.
`;
  writeFileSync('docs/simulated-years.md', text);
}

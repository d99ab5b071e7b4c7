'use client';

import Plotly from 'plotly.js-basic-dist-min';
import { useEffect, useRef } from 'react';
import type { WhatIfView } from '@/services/stock/whatIf';
import { token } from './token';

/** Days from now that each choice would give, as bars; the chosen one stands out. The table beside it says the same. */
export function WhatIfChart({ choices, chosen }: { choices: readonly WhatIfView[]; chosen: number }) {
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const box = frame.current;
    if (!box) return;
    const shown = choices.map((choice, at) => ({ ...choice, at })).reverse();
    const ink = token('ink');
    void Plotly.react(
      box,
      [
        {
          type: 'bar',
          orientation: 'h',
          y: shown.map(({ says }) => says.replace(/ \(.*\)$/, '')),
          x: shown.map(({ days }) => Math.max(0, days ?? 0)),
          text: shown.map(({ days, refused }) =>
            refused ? 'not possible' : days === 0 ? 'today' : `${days} d`,
          ),
          textposition: 'outside',
          cliponaxis: false,
          hoverinfo: 'none',
          marker: {
            color: shown.map(({ at, kind }) =>
              at === chosen ? token('ember') : kind === 'use-by' ? token('honey') : token('ice'),
            ),
          },
        },
      ],
      {
        height: 44 + choices.length * 30,
        margin: { l: 150, r: 60, t: 4, b: 34 },
        paper_bgcolor: 'transparent',
        plot_bgcolor: 'transparent',
        font: { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 14, color: ink },
        xaxis: {
          title: { text: 'days from now' },
          gridcolor: token('line'),
          zeroline: false,
          fixedrange: true,
          rangemode: 'tozero',
        },
        yaxis: { fixedrange: true, automargin: true, ticks: 'outside', ticklen: 8, tickcolor: 'transparent' },
        bargap: 0.35,
      },
      { displayModeBar: false, responsive: true, staticPlot: true },
    );
    return () => Plotly.purge(box);
  }, [choices, chosen]);
  const told = choices.map(({ says, date_words, refused }) => `${says}: ${refused ?? date_words}`).join('. ');
  return <div ref={frame} role="img" aria-label={`The dates each choice would give. ${told}`} />;
}

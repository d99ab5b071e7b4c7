'use client';

import { Download } from 'lucide-react';
import Plotly from 'plotly.js-basic-dist-min';
import { useEffect, useRef, useState } from 'react';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import type { LookBackChart as Chart } from '@/services/lookback/charts';
import { token } from '../chart/token';
import { useSay } from '../units/useSay';
import { useWording } from '../units/useWording';

const G_PER_KG = 1000;
const G_PER_LB = 453.59237;
const COLORS = ['deep', 'ice'] as const;

type Unit = Chart['series'][number]['unit'];

/** A chart of the past with its summary, a table that says the same, and both to save. */
export function LookBackChart({ chart, currency }: { chart: Chart; currency: string }) {
  const frame = useRef<HTMLDivElement>(null);
  const wording = useWording();
  const say = useSay();
  const [money, setMoney] = useState(false);
  const priced = chart.series.some(
    ({ unit, values }) => unit === 'money' && values.some((value) => value > 0),
  );
  // Weight and money are of one size in no chart: one of them at a time.
  const shown = chart.series.filter(({ unit }) => (unit === 'money') === (money && priced));
  const us = wording.units === 'us';
  const unit = shown[0]?.unit ?? 'packs';
  const axis = { g: us ? 'lb' : 'kg', money: currency, l: us ? 'qt' : 'l', packs: 'packages' }[unit];
  const empty =
    chart.labels.length === 0 || chart.series.every(({ values }) => values.every((value) => value === 0));
  useEffect(() => {
    const box = frame.current;
    if (!box || empty) return;
    const scale = { g: us ? G_PER_LB : G_PER_KG, money: 100, l: us ? 0.946352946 : 1, packs: 1 }[unit];
    const lines = chart.kind === 'lines';
    void Plotly.react(
      box,
      shown.map(({ name, values }, at) => ({
        type: lines ? ('scatter' as const) : ('bar' as const),
        ...(lines ? { mode: 'lines' as const } : {}),
        name,
        x: chart.labels,
        y: values.map((value) => value / scale),
        marker: { color: token(COLORS[at] ?? 'deep') },
        line: { color: token(COLORS[at] ?? 'deep'), width: 3, dash: at === 0 ? 'solid' : 'dot' },
        hovertemplate: `%{x}: %{y:.2~f} ${axis}<extra>${name}</extra>`,
      })),
      {
        height: 300,
        separators: wording.decimals === 'comma' ? ',.' : '.,',
        margin: { l: 56, r: 12, t: 12, b: lines ? 44 : 96 },
        paper_bgcolor: 'transparent',
        plot_bgcolor: 'transparent',
        showlegend: shown.length > 1,
        legend: { orientation: 'h', y: 1.15 },
        font: { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 14, color: token('ink') },
        xaxis: {
          automargin: true,
          fixedrange: true,
          ...(lines ? { type: 'date', nticks: 6 } : { type: 'category' }),
        },
        yaxis: {
          title: { text: axis },
          gridcolor: token('line'),
          zeroline: false,
          fixedrange: true,
          rangemode: 'tozero',
        },
      },
      { displayModeBar: false, responsive: true },
    );
    return () => Plotly.purge(box);
  }, [chart, shown, unit, axis, us, empty, wording.decimals]);
  const cell = (value: number, of: Unit): string => {
    if (of === 'g') return say(sayAmount(Math.round(value), 'g'));
    if (of === 'money') return sayMoney(value, currency);
    return of === 'l' ? say(`${value} l`) : String(value);
  };
  return (
    <figure aria-label={chart.title} className="card space-y-2 p-4">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="mr-auto text-xl">{chart.title}</h2>
        {priced && (
          <div role="group" aria-label="Counted in" className="flex gap-1">
            {[false, true].map((one) => (
              <button
                key={String(one)}
                type="button"
                className="button"
                aria-pressed={money === one}
                data-main={money === one}
                onClick={() => setMoney(one)}
              >
                {one ? 'Money' : 'Weight'}
              </button>
            ))}
          </div>
        )}
      </div>
      <figcaption>{say(chart.summary)}</figcaption>
      {!empty && (
        <>
          <div ref={frame} role="img" aria-label={`${chart.title}. ${say(chart.summary)}`} />
          <div className="flex flex-wrap gap-2">
            <a className="button flex items-center gap-2" href={`/api/v1/look-back/csv?chart=${chart.id}`}>
              <Download aria-hidden size={18} /> CSV
            </a>
            <button
              type="button"
              className="button flex items-center gap-2"
              onClick={() => {
                const box = frame.current;
                if (box)
                  void Plotly.downloadImage(box, {
                    ...{ format: 'png', filename: chart.id, width: 1200, height: 600 },
                  });
              }}
            >
              <Download aria-hidden size={18} /> Picture
            </button>
          </div>
          <details>
            <summary className="min-h-11 cursor-pointer py-2 text-slate">As a table</summary>
            <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={`${chart.title}, table`}>
              <table className="w-full text-left">
                <thead>
                  <tr>
                    <th scope="col" className="py-1 pr-4">
                      {chart.kind === 'lines' ? 'Day' : 'What'}
                    </th>
                    {chart.series.map(({ name }) => (
                      <th key={name} scope="col" className="py-1 pr-4">
                        {name}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {chart.labels.map((label, at) => (
                    <tr key={label} className="border-t border-line">
                      <th scope="row" className="py-1 pr-4 font-normal">
                        {label}
                      </th>
                      {chart.series.map(({ name, unit: of, values }) => (
                        <td key={name} className="py-1 pr-4">
                          {cell(values[at] ?? 0, of)}
                        </td>
                      ))}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </details>
        </>
      )}
    </figure>
  );
}

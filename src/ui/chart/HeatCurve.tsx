'use client';

import Plotly from 'plotly.js-basic-dist-min';
import { useEffect, useRef } from 'react';
import type { HeatAnswer } from '@/core/thermal/heatHours';
import { token } from './token';

const SERIES = [
  { key: 'freeze', name: 'freezing, middle', colour: 'deep', dash: 'solid' },
  { key: 'thaw', name: 'thawing, middle', colour: 'ember', dash: 'dash' },
] as const;

const say = (celsius: number): string => celsius.toFixed(0).replace('-', '−');

/** The middle of a pack while it freezes and while it thaws in the fridge, in °C over hours; a table stands behind it. */
export function HeatCurve({ freeze, thaw }: { freeze: HeatAnswer; thaw: HeatAnswer }) {
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const box = frame.current;
    if (!box) return;
    const told = { freeze, thaw };
    void Plotly.react(
      box,
      SERIES.map(({ key, name, colour, dash }) => ({
        type: 'scatter',
        mode: 'lines',
        name,
        x: told[key].curve.map(({ h }) => h),
        y: told[key].curve.map(({ coreC }) => coreC),
        line: { color: token(colour), width: 3, dash },
        hovertemplate: '%{x:.1f} h: %{y:.0f} °C<extra></extra>',
      })),
      {
        height: 250,
        margin: { l: 46, r: 10, t: 48, b: 40 },
        paper_bgcolor: 'transparent',
        plot_bgcolor: 'transparent',
        font: { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 14, color: token('ink') },
        legend: { orientation: 'h', y: 1.3, x: 0 },
        xaxis: {
          title: { text: 'hours' },
          gridcolor: token('line'),
          zeroline: false,
          fixedrange: true,
          rangemode: 'tozero',
        },
        yaxis: {
          title: { text: '°C' },
          gridcolor: token('line'),
          zerolinecolor: token('slate'),
          fixedrange: true,
        },
      },
      { displayModeBar: false, responsive: true },
    );
    return () => Plotly.purge(box);
  }, [freeze, thaw]);
  const every = (answer: HeatAnswer) =>
    answer.curve.filter((_, at) => at % Math.ceil(answer.curve.length / 6) === 0);
  return (
    <figure className="mt-1">
      <div
        ref={frame}
        role="img"
        aria-label={`Middle of the pack: to −10 °C in ${freeze.hoursTypical?.toFixed(1)} hours, back to 0 °C in ${thaw.hoursTypical?.toFixed(1)} hours.`}
      />
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">The figures</summary>
        <table className="w-full text-left text-[0.9375rem]">
          <thead>
            <tr>
              <th>freezing, h</th>
              <th>middle, °C</th>
              <th>thawing, h</th>
              <th>middle, °C</th>
            </tr>
          </thead>
          <tbody>
            {every(freeze).map(({ h, coreC }, at) => {
              const other = every(thaw)[at];
              return (
                <tr key={at}>
                  <td>{h.toFixed(1)}</td>
                  <td>{say(coreC)}</td>
                  <td>{other?.h.toFixed(1)}</td>
                  <td>{other && say(other.coreC)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </details>
    </figure>
  );
}

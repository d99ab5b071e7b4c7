'use client';

import Plotly from 'plotly.js-basic-dist-min';
import { useEffect, useRef } from 'react';
import type { HeatAnswer } from '@/core/thermal/heatHours';
import { sayDegrees } from '@/core/units/retell';
import { degreesOf } from '../units/readDegrees';
import { useSay } from '../units/useSay';
import { useWording } from '../units/useWording';
import { token } from './token';

const SERIES = [
  { key: 'freeze', name: 'freezing, middle', colour: 'deep', dash: 'solid' },
  { key: 'thaw', name: 'thawing, middle', colour: 'ember', dash: 'dash' },
] as const;

/** The middle of a pack while it freezes and while it thaws in the fridge, in °C over hours; a table stands behind it. */
export function HeatCurve({ freeze, thaw }: { freeze: HeatAnswer; thaw: HeatAnswer }) {
  const frame = useRef<HTMLDivElement>(null);
  const wording = useWording();
  const say = useSay();
  const degrees = degreesOf(wording.units);
  const sayWhole = (celsius: number): string => sayDegrees(Math.round(celsius), wording);
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
        y: told[key].curve.map(({ coreC }) => (wording.units === 'us' ? (coreC * 9) / 5 + 32 : coreC)),
        line: { color: token(colour), width: 3, dash },
        hovertemplate: `%{x:.1f} h: %{y:.0f} ${degrees}<extra></extra>`,
      })),
      {
        height: 250,
        separators: wording.decimals === 'comma' ? ',.' : '.,',
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
          title: { text: degrees },
          gridcolor: token('line'),
          zerolinecolor: token('slate'),
          fixedrange: true,
        },
      },
      { displayModeBar: false, responsive: true },
    );
    return () => Plotly.purge(box);
  }, [freeze, thaw, wording, degrees]);
  const every = (answer: HeatAnswer) =>
    answer.curve.filter((_, at) => at % Math.ceil(answer.curve.length / 6) === 0);
  return (
    <figure className="mt-1">
      <div
        ref={frame}
        role="img"
        aria-label={say(
          `Middle of the pack: to −10 °C in ${freeze.hoursTypical?.toFixed(1)} hours, back to 0 °C in ${thaw.hoursTypical?.toFixed(1)} hours.`,
        )}
      />
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">The figures</summary>
        <table className="w-full text-left text-[0.9375rem]">
          <thead>
            <tr>
              <th>freezing</th>
              <th>middle, {degrees}</th>
              <th>thawing</th>
              <th>middle, {degrees}</th>
            </tr>
          </thead>
          <tbody>
            {every(freeze).map(({ h, coreC }, at) => {
              const other = every(thaw)[at];
              return (
                <tr key={at}>
                  <td>{say(`${h.toFixed(1)} h`)}</td>
                  <td>{sayWhole(coreC)}</td>
                  <td>{other && say(`${other.h.toFixed(1)} h`)}</td>
                  <td>{other && sayWhole(other.coreC)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </details>
    </figure>
  );
}

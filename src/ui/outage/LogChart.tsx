'use client';

import Plotly from 'plotly.js-basic-dist-min';
import { useEffect, useRef } from 'react';
import { sayCelsius } from '@/core/powercut/sayCut';
import type { ThermometersView, ThermometerView } from '@/services/outage/thermometers';
import { token } from '../chart/token';
import { degreesOf } from '../units/readDegrees';
import { useSay } from '../units/useSay';
import { useWording } from '../units/useWording';

const ROWS = 12;

/** The log of one thermometer with the line it calls at; power cuts are shaded. A table of it stands behind. */
export function LogChart({ part, view }: { part: ThermometerView; view: ThermometersView }) {
  const frame = useRef<HTMLDivElement>(null);
  const wording = useWording();
  const say = useSay();
  const degrees = degreesOf(wording.units);
  const { log } = part;
  useEffect(() => {
    const box = frame.current;
    if (!box || log.length === 0) return;
    const shown = (c: number): number => (wording.units === 'us' ? (c * 9) / 5 + 32 : c);
    const first = log[0]?.at ?? view.now;
    void Plotly.react(
      box,
      [
        {
          type: 'scatter',
          mode: 'lines',
          x: log.map(({ at }) => new Date(at)),
          y: log.map(({ c }) => shown(c)),
          line: { color: token('deep'), width: 2.5 },
          hovertemplate: `%{x|%a %H:%M}: %{y:.1f} ${degrees}<extra></extra>`,
        },
      ],
      {
        height: 300,
        separators: wording.decimals === 'comma' ? ',.' : '.,',
        margin: { l: 46, r: 14, t: 14, b: 40 },
        paper_bgcolor: 'transparent',
        plot_bgcolor: 'transparent',
        showlegend: false,
        font: { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 14, color: token('ink') },
        shapes: [
          ...view.cuts
            .filter(({ until }) => (until ?? view.now) > first)
            .map(({ from, until }) => ({
              type: 'rect' as const,
              layer: 'below' as const,
              ...{ x0: new Date(from < first ? first : from), x1: new Date(until ?? view.now) },
              ...{ yref: 'paper' as const, y0: 0, y1: 1 },
              line: { width: 0 },
              fillcolor: token('ice-foot'),
            })),
          {
            type: 'line',
            ...{ xref: 'paper', x0: 0, x1: 1, y0: shown(part.alarm.above_c), y1: shown(part.alarm.above_c) },
            line: { color: token('beet'), width: 2, dash: 'dash' },
          },
        ],
        xaxis: {
          type: 'date',
          tickangle: 0,
          nticks: 6,
          tickformat: '%H:%M\n%a %-d %b',
          gridcolor: token('line'),
          fixedrange: true,
          range: [new Date(first), new Date(view.now)],
        },
        yaxis: { title: { text: degrees }, gridcolor: token('line'), zeroline: false, fixedrange: true },
      },
      { displayModeBar: false, responsive: true },
    );
    return () => Plotly.purge(box);
  }, [log, part.alarm.above_c, view, wording, degrees]);
  const every = log.filter((_, nth) => nth % Math.ceil(log.length / ROWS) === 0);
  const day = (at: string): string =>
    new Date(at).toLocaleString('en-GB', {
      weekday: 'short',
      day: 'numeric',
      hour: '2-digit',
      minute: '2-digit',
    });
  return (
    <figure aria-label={`Log of ${part.called}`} className="card p-4">
      <figcaption className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-lg">{part.called}, read by itself</h2>
        <span className="text-[0.9375rem] text-slate">
          {say(`dashed: calls over ${sayCelsius(part.alarm.above_c)}; shaded: a power cut`)}
        </span>
      </figcaption>
      {log.length === 0 ? (
        <p className="py-8 text-center text-slate">
          Nothing was heard of it in this time. Put a log in below, or let a thermometer send its own to the
          kitchen’s address (“log.add” of its interface).
        </p>
      ) : (
        <>
          <div
            ref={frame}
            role="img"
            aria-label={`How cold it was in ${part.called}; the figures stand below.`}
          />
          <details>
            <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">
              The figures
            </summary>
            <table className="w-full text-left text-[0.9375rem]">
              <thead>
                <tr>
                  <th>when</th>
                  <th>air</th>
                </tr>
              </thead>
              <tbody>
                {every.map(({ at, c }) => (
                  <tr key={at}>
                    <td>{day(at)}</td>
                    <td>{say(sayCelsius(c))}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </details>
        </>
      )}
    </figure>
  );
}

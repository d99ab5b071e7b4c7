'use client';

import Plotly from 'plotly.js-basic-dist-min';
import { useEffect, useRef } from 'react';
import type { Cut, CutReading } from '@/core/model/cut';
import { SAFE_CHILL_C } from '@/core/model/limits';
import type { CutForecast } from '@/core/powercut/forecastCut';
import { sayDegrees } from '@/core/units/retell';
import { token } from '../chart/token';
import { degreesOf } from '../units/readDegrees';
import { useWording } from '../units/useWording';

const HOUR_MS = 3_600_000;
const ROWS = 8;

/** How the food that faces the air warms: the middle, the band of four in five, the published limit and what to act on. */
export function CutChart({
  cut,
  called,
  forecast,
  readings,
  now,
}: {
  cut: Cut;
  called: string;
  forecast: CutForecast;
  readings: readonly CutReading[];
  now: string;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const wording = useWording();
  const degrees = degreesOf(wording.units);
  // Once a minute is often enough for a picture.
  const minute = Math.floor(Date.parse(now) / 60_000);
  useEffect(() => {
    const box = frame.current;
    if (!box) return;
    const shown = (c: number): number => (wording.units === 'us' ? (c * 9) / 5 + 32 : c);
    const from = Date.parse(cut.from);
    const at = (h: number): Date => new Date(from + h * HOUR_MS);
    const { band, publishedLimitH, safeUntilH } = forecast;
    const last = Math.min(band.at(-1)?.h ?? 0, Math.max(6, publishedLimitH * 1.25, safeUntilH * 1.25));
    const within = band.filter(({ h }) => h <= last);
    const times = within.map(({ h }) => at(h));
    const line = (values: number[]) => ({
      type: 'scatter' as const,
      mode: 'lines' as const,
      x: times,
      y: values,
    });
    const upright = (h: number, dash: 'solid' | 'dot', colour: string) => ({
      type: 'line' as const,
      ...{ x0: at(h), x1: at(h), y0: 0, y1: 1, yref: 'paper' as const },
      line: { color: token(colour), width: 2, dash },
    });
    const note = (h: number, text: string, y: number) => ({
      ...{
        x: at(h).toISOString(),
        y,
        yref: 'paper' as const,
        text,
        showarrow: false,
        xanchor: 'right' as const,
      },
      font: { color: token('ink'), size: 14 },
      bgcolor: token('snow'),
    });
    void Plotly.react(
      box,
      [
        {
          ...line(within.map(({ p10 }) => shown(p10))),
          line: { width: 0 },
          hoverinfo: 'skip',
          showlegend: false,
        },
        {
          ...line(within.map(({ p90 }) => shown(p90))),
          fill: 'tonexty',
          fillcolor: token('ice-foot'),
          line: { width: 0 },
          name: 'four in five',
          hoverinfo: 'skip',
        },
        {
          ...line(within.map(({ p50 }) => shown(p50))),
          name: 'outer food, middle',
          line: { color: token('deep'), width: 3 },
          hovertemplate: `%{y:.0f} ${degrees}<extra></extra>`,
        },
        {
          type: 'scatter',
          mode: 'markers',
          name: 'air, read',
          x: readings.map((reading) => new Date(reading.at)),
          y: readings.map(({ c }) => shown(c)),
          marker: { size: 11, color: token('ink') },
          hovertemplate: `read %{y:.1f} ${degrees}<extra></extra>`,
        },
      ],
      {
        height: 300,
        separators: wording.decimals === 'comma' ? ',.' : '.,',
        margin: { l: 46, r: 14, t: 34, b: 36 },
        paper_bgcolor: 'transparent',
        plot_bgcolor: 'transparent',
        font: { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 14, color: token('ink') },
        legend: { orientation: 'h', y: 1.16, x: 0 },
        shapes: [
          {
            type: 'line',
            ...{ xref: 'paper', x0: 0, x1: 1, y0: shown(SAFE_CHILL_C), y1: shown(SAFE_CHILL_C) },
            line: { color: token('beet'), width: 2, dash: 'dash' },
          },
          upright(Math.min(publishedLimitH, last), 'dot', 'slate'),
          upright(Math.min(safeUntilH, last), 'solid', 'ink'),
        ],
        annotations: [
          note(Math.min(publishedLimitH, last), 'published', 0.12),
          note(Math.min(safeUntilH, last), 'act by', 0.02),
        ],
        xaxis: { type: 'date', gridcolor: token('line'), fixedrange: true, range: [at(0), at(last)] },
        yaxis: { title: { text: degrees }, gridcolor: token('line'), zeroline: false, fixedrange: true },
      },
      { displayModeBar: false, responsive: true },
    );
    return () => Plotly.purge(box);
  }, [cut, forecast, readings, wording, degrees, minute]);
  const every = forecast.band.filter((_, nth) => nth % Math.ceil(forecast.band.length / ROWS) === 0);
  const say = (c: number): string => sayDegrees(Math.round(c), wording);
  return (
    <figure className="card p-4">
      <figcaption className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-lg">{called}: how it will warm</h2>
        <span className="text-[0.9375rem] text-slate">
          {readings.length === 0
            ? 'nothing read yet: a reading sharpens it'
            : `sharpened by ${readings.length} ${readings.length === 1 ? 'reading' : 'readings'}`}
        </span>
      </figcaption>
      <div
        ref={frame}
        role="img"
        aria-label={`The food in ${called} warms over hours; the figures stand below.`}
      />
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">The figures</summary>
        <table className="w-full text-left text-[0.9375rem]">
          <thead>
            <tr>
              <th>after</th>
              <th>one in ten colder than</th>
              <th>middle</th>
              <th>one in ten warmer than</th>
            </tr>
          </thead>
          <tbody>
            {every.map(({ h, p10, p50, p90 }) => (
              <tr key={h}>
                <td>{h} h</td>
                <td>{say(p10)}</td>
                <td>{say(p50)}</td>
                <td>{say(p90)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}

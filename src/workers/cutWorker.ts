import type { CutRequest } from '@/core/powercut/cutForecast';
import { type CutForecast, forecastCut } from '@/core/powercut/forecastCut';

/** What the page asks: forecasts of power cuts, by a number it gets back. */
export interface CutQuestion {
  id: number;
  request: CutRequest;
}

export interface CutReply {
  id: number;
  forecast: CutForecast;
}

self.onmessage = ({ data: { id, request } }: MessageEvent<CutQuestion>) => {
  const reply: CutReply = { id, forecast: forecastCut(request) };
  self.postMessage(reply);
};

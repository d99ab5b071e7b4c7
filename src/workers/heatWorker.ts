import { Refusal } from '@/core/model/refusal';
import { type HeatAnswer, type HeatCase, heatHours } from '@/core/thermal/heatHours';

/** What the page asks: a case of the heat model, by a number it gets back. */
export interface HeatQuestion {
  id: number;
  kase: HeatCase;
}

/** What it is answered, with the milliseconds the solver took. */
export interface HeatReply {
  id: number;
  answer: HeatAnswer | null;
  refused: string;
  ms: number;
}

self.onmessage = ({ data }: MessageEvent<HeatQuestion>) => {
  const begun = performance.now();
  const reply: HeatReply = { id: data.id, answer: null, refused: '', ms: 0 };
  try {
    reply.answer = heatHours(data.kase);
  } catch (error) {
    reply.refused = error instanceof Refusal ? error.says : 'That cannot be worked out.';
  }
  self.postMessage({ ...reply, ms: performance.now() - begun });
};

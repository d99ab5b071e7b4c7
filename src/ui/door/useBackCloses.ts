'use client';

import { useEffect, useEffectEvent } from 'react';

/** One pushed entry of the history stands for all panels that lie over the page: the way back closes the uppermost first. */
const panels: (() => void)[] = [];
/** Address of the page below while its entry is pushed. */
let pushedAt: string | null = null;
/** Our own step back is under way: it closes nothing. */
let leaving = false;
let timer: ReturnType<typeof setTimeout> | undefined;

/** A panel that closes while another opens keeps the entry. */
const SETTLE_MS = 30;

function push(): void {
  if (leaving || panels.length === 0 || pushedAt !== null) return;
  pushedAt = window.location.href;
  window.history.pushState(window.history.state, '');
}

function settle(): void {
  clearTimeout(timer);
  timer = setTimeout(() => {
    if (leaving || panels.length > 0 || pushedAt === null) return;
    // Where one went elsewhere from the panel, the way back leads over the page below.
    leaving = pushedAt === window.location.href;
    pushedAt = null;
    if (leaving) window.history.back();
  }, SETTLE_MS);
}

function onBack(event: PopStateEvent): void {
  const ours = leaving;
  if (!ours && pushedAt !== window.location.href) return;
  leaving = false;
  pushedAt = null;
  // The page below never went away: its router need not fetch it again.
  event.stopImmediatePropagation();
  if (!ours) panels.at(-1)?.();
  if (panels.length > (ours ? 0 : 1)) push();
}

/** While the panel is open, Back closes it instead of leaving the page. */
export function useBackCloses(onClose: () => void): void {
  const close = useEffectEvent(onClose);
  useEffect(() => {
    const mine = (): void => close();
    window.addEventListener('popstate', onBack, true);
    panels.push(mine);
    push();
    return () => {
      panels.splice(panels.indexOf(mine), 1);
      settle();
    };
  }, []);
}

'use client';

import { useEffect, useEffectEvent } from 'react';

/** The panels that lie over the page: the way back closes the uppermost first. */
const panels: (() => void)[] = [];
/** Address of the page whose history has an entry of ours on top, for a panel that is open or was; `null`: none has. */
let pushedAt: string | null = null;

/** One entry stands for all panels of a page, one after the other. A closed panel leaves it; Back goes over it. */
function push(): void {
  if (pushedAt === window.location.href) return;
  pushedAt = window.location.href;
  window.history.pushState({ ...(window.history.state as object | null), panel: true }, '');
}

function onBack(event: PopStateEvent): void {
  const landed = (event.state as { panel?: boolean } | null)?.panel === true;
  if (!landed && pushedAt !== window.location.href) return;
  pushedAt = null;
  // The page below never went away: its router need not fetch it again.
  event.stopImmediatePropagation();
  if (panels.length === 0) window.history.back();
  else {
    panels.at(-1)?.();
    if (panels.length > 1) push();
  }
}

/** While the panel is open, Back closes it instead of leaving the page. */
export function useBackCloses(onClose: () => void): void {
  const close = useEffectEvent(onClose);
  useEffect(() => {
    const mine = (): void => close();
    window.addEventListener('popstate', onBack, true);
    panels.push(mine);
    push();
    return () => void panels.splice(panels.indexOf(mine), 1);
  }, []);
}

/** Keys typed while something that will take them is still on its way. */
export interface Collecting {
  /** Ends it, and says what was typed. */
  end: () => string;
}

/** Collects what is typed until it is ended, so that no key falls between, and none is taken for a shortcut. */
export function collectKeys(): Collecting {
  let typed = '';
  const onKey = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'Backspace') typed = typed.slice(0, -1);
    else if (event.key.length === 1) typed += event.key;
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  window.addEventListener('keydown', onKey, true);
  return {
    end: () => {
      window.removeEventListener('keydown', onKey, true);
      return typed;
    },
  };
}

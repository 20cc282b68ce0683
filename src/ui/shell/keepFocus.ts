const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex]';

/**
 * Keeps the keyboard where it was: when what had the focus goes from the page,
 * or can no longer be used, the nearest thing that is left takes it; on a new
 * page its heading does. Browsers drop it to the top of the page instead.
 * @returns stops it
 */
export function keepFocus(page: Document): () => void {
  let last: HTMLElement | null = null;
  let around: HTMLElement[] = [];
  let beside: HTMLElement[] = [];
  const remember = ({ target }: FocusEvent) => {
    if (!(target instanceof HTMLElement)) return;
    last = target;
    const stops = [...page.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(({ tabIndex }) => tabIndex >= 0);
    const at = stops.indexOf(target);
    beside = at < 0 ? [] : [...stops.slice(at + 1, at + 6), ...stops.slice(Math.max(0, at - 2), at).reverse()];
    around = [];
    for (let parent = target.parentElement; parent && parent !== page.body; parent = parent.parentElement)
      around.push(parent);
  };
  const isLost = () =>
    last !== null &&
    (page.activeElement === page.body || page.activeElement === last) &&
    (!last.isConnected || last.matches(':disabled'));
  const mend = () => {
    if (!isLost()) return;
    const near = around.find((parent) => parent.isConnected && parent.id !== 'root');
    const target =
      (near && beside.find((stop) => stop.isConnected && !stop.matches(':disabled') && near.contains(stop))) ??
      (near ? targetIn(near) : null) ??
      page.querySelector<HTMLElement>('h1[tabindex]');
    last = null;
    target?.focus({ preventScroll: true });
  };
  const observer = new MutationObserver(() => {
    // Whoever moves the focus by himself does so in the same turn.
    if (isLost()) setTimeout(mend, 0);
  });
  page.addEventListener('focusin', remember);
  observer.observe(page.body, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] });
  return () => {
    page.removeEventListener('focusin', remember);
    observer.disconnect();
  };
}

/** The first thing within that can take the focus, or the thing itself where it scrolls by keyboard. */
function targetIn(parent: HTMLElement): HTMLElement | null {
  if (parent.hasAttribute('tabindex')) return parent;
  return [...parent.querySelectorAll<HTMLElement>(FOCUSABLE)].find(({ tabIndex }) => tabIndex >= 0) ?? null;
}

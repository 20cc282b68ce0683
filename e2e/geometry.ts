import type { Page } from '@playwright/test';

/** What of the page a person could not read: texts that lie on each other, leave their picture, or are cut by their box. */
export async function unreadable(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const faults: string[] = [];
    const seen = (element: Element) =>
      element.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
      element.getBoundingClientRect().width > 1;
    // Letters reach neither to the top nor to the foot of their line.
    const ink = (element: Element) => {
      const { left, right, top, bottom, height } = element.getBoundingClientRect();
      return { left: left + 1, right: right - 1, top: top + height * 0.2, bottom: bottom - height * 0.15, element };
    };
    type Ink = ReturnType<typeof ink>;
    const meet = (a: Ink, b: Ink) =>
      Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1 &&
      Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 1;
    const words = (element: Element) => `“${element.textContent.trim().slice(0, 40)}”`;

    for (const picture of document.querySelectorAll('main svg, [data-testid=beam] svg')) {
      if (!seen(picture) || picture.closest('.js-plotly-plot')) continue;
      const texts = [...picture.querySelectorAll('text')].filter((text) => seen(text) && text.textContent.trim());
      const inks = texts.map(ink);
      const frame = picture.getBoundingClientRect();
      for (const [index, a] of inks.entries()) {
        for (const b of inks.slice(index + 1))
          if (meet(a, b)) faults.push(`${words(a.element)} lies on ${words(b.element)}`);
        if (
          a.left < frame.left - 2 ||
          a.right > frame.right + 2 ||
          a.top < frame.top - 2 ||
          a.bottom > frame.bottom + 2
        )
          faults.push(`${words(a.element)} leaves its picture`);
        for (const tools of document.querySelectorAll('[data-tools]'))
          if (seen(tools) && meet(a, ink(tools))) faults.push(`${words(a.element)} lies under the tools`);
      }
    }
    for (const tools of document.querySelectorAll('[data-tools]'))
      for (const control of document.querySelectorAll('main button, main input'))
        if (seen(control) && !tools.contains(control) && meet(ink(control), ink(tools)))
          faults.push(`${words(control)} lies under the tools`);
    const pen = document.createElement('canvas').getContext('2d')!;
    for (const select of document.querySelectorAll('select')) {
      if (!seen(select)) continue;
      const style = getComputedStyle(select);
      pen.font = style.font;
      const text = select.selectedOptions[0]?.textContent ?? '';
      const room = select.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight);
      if (pen.measureText(text).width > room + 1) faults.push(`the choice “${text}” is cut`);
    }
    for (const input of document.querySelectorAll('input'))
      if (seen(input) && input.scrollWidth > input.clientWidth + 1) faults.push(`the field “${input.value}” is cut`);
    for (const box of document.querySelectorAll<HTMLElement>('body *')) {
      // The line of the findings ends in dots where it is long: it opens to the whole of them.
      if (box.closest('.js-plotly-plot, svg, .sr-only, [data-testid=findings-strip]') || !seen(box)) continue;
      const { overflowX, overflowY } = getComputedStyle(box);
      const cuts = (overflow: string) => overflow === 'hidden' || overflow === 'clip';
      const hasText = [...box.childNodes].some((node) => node.nodeType === 3 && node.textContent!.trim());
      if (!hasText) continue;
      if (cuts(overflowX) && box.scrollWidth > box.clientWidth + 1) faults.push(`${words(box)} is cut at its side`);
      if (cuts(overflowY) && box.scrollHeight > box.clientHeight + 2) faults.push(`${words(box)} is cut at its foot`);
    }
    const wide = document.documentElement.scrollWidth;
    if (wide > window.innerWidth) faults.push(`the page is ${wide} px wide on a screen of ${window.innerWidth}`);
    for (const id of ['numbers']) {
      const panel = document.getElementById(id);
      if (panel && panel.scrollWidth > panel.clientWidth + 1)
        faults.push(`the inputs are ${panel.scrollWidth} px wide in ${panel.clientWidth}`);
    }
    return [...new Set(faults)];
  });
}

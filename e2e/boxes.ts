import type { Locator, Page } from '@playwright/test';

/** What lies where on the page, by measured boxes. */

/** Whether a thing is wholly on the screen. */
export const inside = async (page: Page, what: Locator): Promise<boolean> => {
  const box = await what.boundingBox();
  const size = page.viewportSize();
  if (!box || !size) return false;
  return (
    box.x >= -1 &&
    box.y >= -1 &&
    box.x + box.width <= size.width + 1 &&
    box.y + box.height <= size.height + 1
  );
};

/** Pairs of texts that lie over each other as they are seen; words of drawings are measured apart. */
export const overlapping = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const texts = [...document.querySelectorAll('body *')].flatMap((element) => {
      if (element.closest('svg') || element.closest('[aria-hidden=true]')) return [];
      const own = [...element.childNodes].filter(
        (node) => node.nodeType === 3 && (node.textContent ?? '').trim() !== '',
      );
      return own.flatMap((node) => {
        const range = document.createRange();
        range.selectNodeContents(node);
        const linePx = parseFloat(getComputedStyle(element).lineHeight);
        return [...range.getClientRects()].flatMap((rect) => {
          // A browser's box of large letters is higher than their line.
          const out = Math.max(0, rect.height - (linePx || rect.height)) / 2;
          const box = new DOMRect(rect.x, rect.y + out, rect.width, rect.height - 2 * out);
          const x = box.left + box.width / 2;
          const y = box.top + box.height / 2;
          if (box.width < 2 || x < 0 || y < 0 || x > innerWidth || y > innerHeight) return [];
          const seen = document.elementFromPoint(x, y);
          // Scrolled under the foot, or for those alone who hear the page.
          if (!seen || !(seen === element || seen.contains(element) || element.contains(seen)))
            return [];
          return [{ element, text: (node.textContent ?? '').trim(), box }];
        });
      });
    });
    return texts.flatMap((a, i) =>
      texts.slice(i + 1).flatMap((b) => {
        const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        // Lines of one paragraph reach a little into each other.
        const least = Math.min(a.box.height, b.box.height) * 0.35;
        const related = a.element.contains(b.element) || b.element.contains(a.element);
        return !related && across > 2 && down > least ? [`${a.text} / ${b.text}`] : [];
      }),
    );
  });

/** Controls on the screen that are smaller than so many pixels either way. */
export const smallTargets = (page: Page, least: number): Promise<string[]> =>
  page.evaluate(
    (px) =>
      [
        ...document.querySelectorAll(
          'button, a, input, [role=button], [role=link], [role=radio], [role=slider], [role=checkbox]',
        ),
      ].flatMap((control) => {
        const { width, height, top, left } = control.getBoundingClientRect();
        const shown = width > 0 && height > 0 && top < innerHeight && left < innerWidth;
        if (!shown || control.closest('[aria-hidden=true]')) return [];
        return Math.min(width, height) >= px - 0.5
          ? []
          : [`${control.getAttribute('aria-label') ?? control.textContent}: ${width} × ${height}`];
      }),
    least,
  );

/** Names on the plan that touch each other, its legend, north or the scale. */
export const touchingNames = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const plan = document.querySelector('[aria-label^="Plan."]');
    const names = [...(plan?.querySelectorAll('svg text') ?? [])].map((text) => ({
      text: text.textContent,
      box: text.getBoundingClientRect(),
    }));
    return names.flatMap((a, i) =>
      names.slice(i + 1).flatMap((b) => {
        const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        // A box of text has room over and under its letters.
        const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top) - 4;
        return across > 0 && down > 0 ? [`${a.text} / ${b.text}`] : [];
      }),
    );
  });

/** How many screens long a step's first level is. */
export const screensLong = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const lengths = [...document.querySelectorAll('[role=main] *')]
      .filter((element) => /auto|scroll/.test(getComputedStyle(element).overflowY))
      .map((element) => element.scrollHeight);
    return Math.max(0, ...lengths) / innerHeight;
  });

/** Text that is cut off, or lies beyond the page or its button. */
export const cutText = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const scrolls = (element: Element | null): boolean =>
      element !== null &&
      (/auto|scroll/.test(getComputedStyle(element).overflowX) || scrolls(element.parentElement));
    return [...document.querySelectorAll('body *')].flatMap((element) => {
      const words = [...element.childNodes].filter((node) => node.nodeType === 3);
      const text = words.map((node) => node.textContent?.trim()).join(' ');
      const box = element.getBoundingClientRect();
      if (text === '' || element.closest('svg') || box.width < 2 || box.height < 2) return [];
      const { overflowX, overflowY, fontSize } = getComputedStyle(element);
      // Letters may reach a little out of their line.
      const reach = parseFloat(fontSize) * 0.2;
      const cut =
        /hidden|clip/.test(overflowX + overflowY) &&
        (element.scrollWidth > element.clientWidth + 1 ||
          element.scrollHeight > element.clientHeight + reach);
      const button = element.closest('[role=button], [role=radio], [role=link]');
      const around = button?.getBoundingClientRect() ?? { left: 0, right: window.innerWidth };
      const beyond =
        (box.right > around.right + 2 || box.left < around.left - 2) &&
        (button !== null || !scrolls(element));
      return cut || beyond ? [text] : [];
    });
  });

import type { Page } from '@playwright/test';

/** Smallest type that carries meaning, CSS px as they reach the eye. */
const LEAST_PX = 12;

/** Text of a page that is smaller, each with its size; a drawing's type is taken as large as the drawing shows it. */
export const smallType = (page: Page, part = 'body'): Promise<string[]> =>
  page.evaluate(
    ({ part, least }) => {
      const found = new Map<string, number>();
      const root = document.querySelector(part);
      if (!root) return [`there is no ${part}`];
      const texts = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
      for (let node = texts.nextNode(); node; node = texts.nextNode()) {
        const words = node.textContent?.trim() ?? '';
        const holder = node.parentElement;
        if (
          words === '' ||
          !holder ||
          ['SCRIPT', 'STYLE', 'TITLE', 'OPTION'].includes(holder.tagName.toUpperCase())
        )
          continue;
        if (!holder.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
        const { width, height } = holder.getBoundingClientRect();
        // Words for a screen reader alone are cut to a dot.
        if (width < 2 || height < 2) continue;
        const drawn = holder instanceof SVGGraphicsElement ? holder.getScreenCTM() : null;
        const scale = drawn ? Math.hypot(drawn.a, drawn.b) : 1;
        const px = Number.parseFloat(getComputedStyle(holder).fontSize) * scale;
        // A tenth of a pixel is how widths are rounded.
        if (px < least - 0.1) found.set(words.slice(0, 40), Math.round(px * 10) / 10);
      }
      return [...found].map(([words, px]) => `${px} px: ${words}`);
    },
    { part, least: LEAST_PX },
  );

import type { Locator, Page } from '@playwright/test';

/**
 * Seconds of a key and of a decision, by which entering is counted: the keystroke-level model (Card, Moran and Newell, Commun ACM
 * 1980;23:396–410, from memory): 0.28 s a key for an average typist, 1.35 s to think before each field.
 */
const SECONDS = { key: 0.28, thought: 1.35 };

export interface Count {
  keys: number;
  thoughts: number;
}
export const secondsOf = ({ keys, thoughts }: Count): number =>
  keys * SECONDS.key + thoughts * SECONDS.thought;

/** Hands on a keyboard that count what they do. */
export function countingHands(page: Page) {
  let keys = 0;
  let thoughts = 0;
  const key = async (name: string) => {
    keys += 1;
    await page.keyboard.press(name);
  };
  const type = async (text: string) => {
    keys += text.length;
    await page.keyboard.type(text);
  };
  const reach = async (target: Locator) => {
    thoughts += 1;
    await target.waitFor({ state: 'attached' });
    for (let tabs = 0; tabs < 140; tabs += 1) {
      if (await target.evaluate((element) => element === document.activeElement)) return;
      await key('Tab');
    }
    throw new Error(`Tab never reached ${target}`);
  };
  return {
    key,
    type,
    reach,
    press: async (target: Locator) => {
      await reach(target);
      await key('Space');
    },
    choose: async (options: Locator, digit: number) => {
      await reach(options.first());
      await key(String(digit));
    },
    typeInto: async (label: string, text: string) => {
      await reach(page.getByLabel(label, { exact: true }).first());
      await type(text);
    },
    /** A decision without a field of its own. */
    think: () => {
      thoughts += 1;
    },
    count: (): Count => ({ keys, thoughts }),
  };
}

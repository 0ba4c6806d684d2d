import type { Locator, Page } from '@playwright/test';

/** What a step of the tour took. */
export type Step = { readonly what: string; readonly took: number; readonly longest: number };

type Watched = { longTasks: number[] };

/** Makes the page note every task of its own thread that takes more than 50 ms. */
export async function watchTasks(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const longTasks: number[] = [];
    Object.assign(window, { longTasks });
    new PerformanceObserver((list) => longTasks.push(...list.getEntries().map((entry) => entry.duration))).observe({
      type: 'longtask',
      buffered: true,
    });
  });
}

const taskCount = (page: Page): Promise<number> => page.evaluate(() => (window as unknown as Watched).longTasks.length);

/** The longest task since a count was taken, in milliseconds; 0 where none took more than 50. */
const longestSince = (page: Page, count: number): Promise<number> =>
  page.evaluate((from) => Math.round(Math.max(0, ...(window as unknown as Watched).longTasks.slice(from))), count);

/**
 * Does one thing and waits for what answers it. The time is counted in the page, from the first event
 * that reaches it to the frame in which the answer stands, so that the driver's own time is left out.
 */
export async function step(page: Page, what: string, act: () => Promise<void>, answer: Locator): Promise<Step> {
  const before = await taskCount(page);
  await page.evaluate(() => {
    const note = (): void => void Object.assign(window, { began: performance.now() });
    for (const kind of ['pointerdown', 'keydown']) window.addEventListener(kind, note, { capture: true, once: true });
  });
  await act();
  await answer.waitFor();
  const took = await page.evaluate(
    () =>
      new Promise<number>((resolve) =>
        requestAnimationFrame(() => resolve(performance.now() - (window as unknown as { began: number }).began)),
      ),
  );
  return { what, took: Math.round(took), longest: await longestSince(page, before) };
}

/** Scrolls an element by steps and waits for a frame after each; the longest task on the way. */
export async function scroll(page: Page, place: Locator, by: number, times: number): Promise<Step> {
  const before = await taskCount(page);
  const took = await place.evaluate(
    async (element, [stride, count]) => {
      const began = performance.now();
      for (let at = 0; at < count; at++) {
        element.scrollTop += stride;
        await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
      }
      return performance.now() - began;
    },
    [by, times] as const,
  );
  return { what: `scroll ${times} times by ${by}`, took: Math.round(took), longest: await longestSince(page, before) };
}

export function table(title: string, steps: readonly Step[]): string {
  const rows = steps.map(({ what, took, longest }) => `  ${String(took).padStart(6)} ms  ${String(longest).padStart(5)} ms  ${what}`);
  return [`\n${title}`, '    answer   longest task', ...rows].join('\n');
}

import { expect, test } from './hosket.ts';

const bands = ['Brief', 'Ground', 'Layers', 'Cutting', 'Surface', 'Days', 'Stores'];

test('by keyboard alone: in every view Tab goes through all there is to press and fill, shows where it is, and comes out again', async ({
  app,
  page,
}) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  for (const band of bands) {
    await app.show(band);
    await app.settled();
    await page.evaluate(() => (document.activeElement as HTMLElement)?.blur());
    const seen = await page.evaluate(() => {
      for (const element of document.querySelectorAll<HTMLElement>('[data-sweep]')) delete element.dataset.sweep;
      return document.querySelectorAll('main a[href], main button:not([disabled]), main input:not([disabled])').length;
    });
    const unseen: string[] = [];
    let stops = 0;
    let inMain = 0;
    for (; stops < 400; stops++) {
      await page.keyboard.press('Tab');
      const at = await page.evaluate(() => {
        const element = document.activeElement as HTMLElement | null;
        if (!element || element === document.body) return null;
        const first = element.dataset.sweep === 'seen';
        element.dataset.sweep = 'seen';
        const { outlineStyle, outlineWidth, boxShadow, strokeWidth } = getComputedStyle(element);
        return {
          again: first,
          inMain: element.closest('main') !== null,
          name: element.getAttribute('aria-label') ?? element.textContent?.slice(0, 40) ?? element.tagName,
          shown:
            (outlineStyle !== 'none' && outlineWidth !== '0px') ||
            boxShadow !== 'none' ||
            (element instanceof SVGElement && strokeWidth !== '0px'),
        };
      });
      if (!at || at.again) break;
      if (at.inMain) inMain++;
      if (!at.shown) unseen.push(at.name);
    }
    expect(stops, `${band}: Tab comes out again`).toBeLessThan(400);
    // Groups of choices and lists of one drawing are one stop each.
    expect(inMain, `${band}: the view itself is reached`).toBeGreaterThanOrEqual(Math.min(seen, 3));
    expect(unseen, `${band}: what has the focus shows it`).toEqual([]);
  }
});

test('at 200 % nothing is cut off sideways in any view, and everything can be scrolled to', async ({ app, page }) => {
  // A window of 1280 x 800 at 200 % has room for 640 x 400.
  await page.setViewportSize({ width: 640, height: 400 });
  await app.open();
  for (const band of bands) {
    await app.show(band);
    await app.settled();
    const over = await page.evaluate(() => {
      const out: string[] = [];
      if (document.documentElement.scrollWidth > window.innerWidth) out.push('the page scrolls sideways');
      for (const element of document.querySelectorAll<HTMLElement>(
        'button, input, select, textarea, a[href], h1, h2',
      )) {
        const box = element.getBoundingClientRect();
        if (!box.width || element.closest('[aria-hidden="true"], .sr-only')) continue;
        // Inside something that scrolls by itself it can be reached.
        let parent = element.parentElement;
        while (parent && !['auto', 'scroll'].includes(getComputedStyle(parent).overflowX))
          parent = parent.parentElement;
        if (!parent && (box.left < -1 || box.right > window.innerWidth + 1))
          out.push(`${element.tagName} ${element.getAttribute('aria-label') ?? element.textContent?.slice(0, 40)}`);
      }
      return out;
    });
    expect(over, band).toEqual([]);
  }
});

test('whoever wants less motion gets none', async ({ app, page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await app.open();
  const moving = () =>
    page.evaluate(() =>
      document
        .getAnimations()
        .filter((animation) => Number(animation.effect?.getComputedTiming().activeDuration) > 1)
        .map((animation) => animation.id || animation.constructor.name),
    );
  for (const band of bands) {
    await app.show(band);
    expect(await moving(), band).toEqual([]);
  }
  await page.keyboard.press('Control+k');
  await page.getByRole('dialog').waitFor();
  expect(await moving()).toEqual([]);
});

test('in forced colours what is chosen, pressed or focused differs by more than its colour in every view', async ({
  app,
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await app.open();
  for (const band of bands) {
    await app.show(band);
    const same = await page.evaluate(() => {
      const look = (element: Element) => {
        const {
          borderTopWidth,
          borderRightWidth,
          borderBottomWidth,
          fontWeight,
          textDecorationLine,
          outlineStyle,
          backgroundColor,
          borderRightColor,
          borderBottomColor,
        } = getComputedStyle(element);
        return JSON.stringify([
          borderTopWidth,
          borderRightWidth,
          borderBottomWidth,
          fontWeight,
          textDecorationLine,
          outlineStyle,
          backgroundColor,
          borderRightColor,
          borderBottomColor,
          element.querySelectorAll('svg').length,
        ]);
      };
      const out: string[] = [];
      const chosen = '[aria-pressed="true"], [aria-selected="true"], [aria-checked="true"], [aria-current="page"]';
      for (const element of document.querySelectorAll(chosen)) {
        const [attribute] = ['aria-pressed', 'aria-selected', 'aria-checked', 'aria-current'].filter((a) =>
          element.hasAttribute(a),
        );
        const others = [
          ...(
            element.closest(
              '[role=tablist], [role=radiogroup], nav, [role=group], [role=toolbar], fieldset, section',
            ) ?? document
          ).querySelectorAll(element.tagName),
        ].filter(
          (other) =>
            other !== element &&
            other.className === element.className &&
            (attribute === 'aria-current' ? !other.hasAttribute(attribute) : other.getAttribute(attribute) === 'false'),
        );
        if (others.length && others.every((other) => look(other) === look(element)))
          out.push(element.textContent ?? element.getAttribute('aria-label') ?? '');
      }
      return out;
    });
    expect(same, band).toEqual([]);
  }
});

import { join } from 'node:path';
import sharp from 'sharp';
import type { Person } from '../e2e/lib/browser';
import type { Euporia } from '../e2e/lib/euporia';

const show = (line: string) => process.stdout.write(`${line}\n`);
const quantile = (list: readonly number[], share: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? 0;

/** Watches the main thread: long tasks and the time between frames, from now on. */
const WATCH = `
  window.__long = [];
  new PerformanceObserver((list) => { for (const entry of list.getEntries()) window.__long.push(entry.duration); }).observe({ type: 'longtask' });
  window.__frames = [];
  let last = performance.now();
  const tick = (now) => { window.__frames.push(now - last); last = now; requestAnimationFrame(tick); };
  requestAnimationFrame(tick);
`;

/** A palette from a photo of twelve megapixels: until the swatches stand there, and whether the page ever froze. */
export async function paletteBench(person: Person, euporia: Euporia, path: string, folder: string): Promise<void> {
  const photo = join(folder, 'twelve megapixels.jpg');
  const block = (background: string, width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background, noise: { type: 'gaussian', mean: 0, sigma: 12 } } })
      .png()
      .toBuffer();
  await sharp({ create: { width: 4000, height: 3000, channels: 3, background: '#e8e2d4' } })
    .composite([
      { input: await block('#2f5d62', 1800, 1500), left: 900, top: 900 },
      { input: await block('#9b6b43', 4000, 600), left: 0, top: 2400 },
      { input: await block('#c8402a', 300, 300), left: 100, top: 100 },
    ])
    .jpeg({ quality: 88 })
    .toFile(photo);
  const times: number[] = [];
  let longest = 0;
  for (let round = 0; round < 5; round += 1) {
    await person.goto(`${euporia.address}${path}`);
    await person.press('Take colors from a photo');
    await person.see('//button[normalize-space(.)="Choose a photo"]');
    const input = await person.driver.findElement({ css: 'input[aria-label="Choose a photo"]' });
    await person.driver.sleep(400);
    await person.driver.executeScript(
      `${WATCH} window.__start = 0;
       document.querySelector('input[aria-label="Choose a photo"]').addEventListener('change', () => { window.__start = performance.now(); }, true);
       window.__done = new Promise((done) => new MutationObserver((_, observer) => {
         if (document.querySelector('[aria-label="Name of color 1"]')) { observer.disconnect(); done(performance.now()); }
       }).observe(document.body, { childList: true, subtree: true }));`,
    );
    await input.sendKeys(photo);
    const took = (await person.driver.executeAsyncScript(
      'const end = arguments[0]; window.__done.then((at) => setTimeout(() => end(at - window.__start), 60));',
    )) as number;
    times.push(took);
    const long = (await person.driver.executeScript('return Math.max(0, ...window.__long)')) as number;
    longest = Math.max(longest, long);
  }
  show(
    `palette of a 12-megapixel photo in the worker: median ${quantile(times, 0.5).toFixed(0)} ms; aim: under 1000 ms; longest task of the page ${longest.toFixed(0)} ms; aim: none over 50 ms`,
  );
}

/** The time between frames, ms, while the first thing of a selector is dragged in 120 steps of so many px. */
async function framesOfDrag(person: Person, selector: string, step: { x: number; y: number }): Promise<number[]> {
  const [x, y] = (await person.driver.executeScript(
    'const r = document.querySelector(arguments[0]).getBoundingClientRect(); return [r.left + r.width / 2, r.top + r.height / 2];',
    selector,
  )) as [number, number];
  await person.driver.executeScript(WATCH);
  const mouse = (type: string, steps: number) =>
    person.devtools('Input.dispatchMouseEvent', {
      type,
      x: x + steps * step.x,
      y: y + steps * step.y,
      button: 'left',
      buttons: 1,
      clickCount: 1,
    });
  await mouse('mousePressed', 0);
  for (let n = 1; n <= 120; n += 1) await mouse('mouseMoved', n);
  const frames = ((await person.driver.executeScript('return window.__frames')) as number[]).slice(2);
  await mouse('mouseReleased', 120);
  return frames;
}

/** The drying line of sixty makeovers, a session of it dragged along: the time between frames. */
export async function dryingLineBench(person: Person, euporia: Euporia, projectId: string): Promise<void> {
  await person.goto(`${euporia.address}/p/${projectId}/bench`);
  await person.seeText('Drying line');
  await person.driver.sleep(1500);
  await person.notText('Stop looking');
  const hands = 'section[aria-label="Drying line, day by day"] button:not([data-fixed]):not([data-moment])';
  await person.driver.executeScript('document.querySelector(arguments[0]).scrollIntoView({ block: "center" })', hands);
  await person.driver.sleep(500);
  const drawn = (await person.driver.executeScript(
    'return document.querySelectorAll(arguments[0]).length',
    hands,
  )) as number;
  const frames = await framesOfDrag(person, hands, { x: 4, y: 0 });
  show(
    `drying line of ${drawn} stretches of hands, a session dragged: ${frames.length} frames, median ${quantile(frames, 0.5).toFixed(1)} ms, 95 % under ${quantile(frames, 0.95).toFixed(1)} ms; aim: a frame’s pace (16.7 ms)`,
  );
}

/** A sketch of sixty slots, one of them dragged across: the time between frames. */
export async function sketchBench(person: Person, euporia: Euporia, projectId: string): Promise<void> {
  const rows = (await euporia.json(`/api/projects/${projectId}/snapshot`)) as {
    spots: { id: string }[];
    slots: { id: string; spotId: string }[];
  };
  const spotId = rows.spots[0]?.id ?? '';
  const chosen = rows.slots.slice(0, 60);
  const send = (kind: string, payload: unknown) =>
    fetch(`${euporia.address}/api/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ key: crypto.randomUUID(), projectId, kind, payload, expect: {} }),
    });
  for (const slot of rows.slots)
    await send('editSlot', {
      id: slot.id,
      values: { spotId: chosen.includes(slot) ? spotId : (rows.spots[1]?.id ?? spotId) },
    });
  await send('arrangeSlots', {
    boxes: chosen.map((slot, n) => ({
      id: slot.id,
      box: { xMm: (n % 10) * 290, yMm: Math.floor(n / 10) * 380, widthMm: 240, heightMm: 320 },
    })),
  });
  await person.goto(`${euporia.address}/p/${projectId}/sketch?spot=${spotId}`);
  await person.see('//*[@role="button" and starts-with(@aria-label,"Slot ") and contains(@aria-label,"wide")]');
  await person.driver.sleep(1500);
  const frames = await framesOfDrag(person, '[data-slot]', { x: 3, y: -0.75 });
  show(
    `sketch with 60 slots, one dragged: ${frames.length} frames, median ${quantile(frames, 0.5).toFixed(1)} ms, 95 % under ${quantile(frames, 0.95).toFixed(1)} ms; aim: a frame’s pace (16.7 ms)`,
  );
}

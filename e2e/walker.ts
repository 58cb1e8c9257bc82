import { setTimeout as pause } from 'node:timers/promises';
import type { Browser, BrowserContext, HTTPRequest, Page } from 'puppeteer-core';

export type Walker = Page & {
  /** Console errors and failed page scripts so far. */
  readonly complaints: string[];
};

/** Three files share two cores, and the machine may be shared as well: what takes a second alone may take a minute. */
const WAIT_MS = 150_000;

type Asked = { readonly url: string; readonly by: string };
/** What the document on a page has asked for and not got yet; of an earlier document nothing is waited for. */
const asking = new WeakMap<Page, () => readonly string[]>();

async function watchRequests(page: Page): Promise<void> {
  const session = await page.createCDPSession();
  const open = new Map<string, Asked>();
  let document = '';
  session.on('Page.frameNavigated', ({ frame }) => {
    if (frame.parentId === undefined) document = frame.loaderId;
  });
  session.on('Network.requestWillBeSent', ({ requestId, loaderId, request }) =>
    open.set(requestId, { url: request.url, by: loaderId }),
  );
  session.on('Network.loadingFinished', ({ requestId }) => open.delete(requestId));
  session.on('Network.loadingFailed', ({ requestId }) => open.delete(requestId));
  await Promise.all([session.send('Page.enable'), session.send('Network.enable')]);
  asking.set(page, () => [...open.values()].filter(({ by }) => by === document).map(({ url }) => url));
}

const LOOK_AGAIN_MS = 25;
/** At rest is what was found at rest that many times in a row. */
const LOOKS = 3;

/** Answered once the page has nothing else to do: what it was about to ask for, it has asked for by then. */
const isLoading = (page: Page): Promise<boolean> =>
  page.evaluate(
    () =>
      new Promise<boolean>((answer) => {
        requestIdleCallback(
          () =>
            answer(
              document.getElementById('root')?.childElementCount === 0 ||
                document.querySelector('[aria-label="Loading"]') !== null,
            ),
          { timeout: 100 },
        );
      }),
  );

/** Waits until a page of {@link walk} has come to rest: everything asked for is there, and nothing says that it loads. */
export async function atRest(page: Page, withinMs = WAIT_MS): Promise<void> {
  const open = asking.get(page) ?? (() => []);
  const until = Date.now() + withinMs;
  for (let quiet = 0; quiet < LOOKS;) {
    quiet = (await isLoading(page)) || open().length > 0 ? 0 : quiet + 1;
    if (Date.now() > until)
      throw new Error(`still waiting for ${open().join(' ')}; the page says\n${await textOf(page)}`);
    await pause(LOOK_AGAIN_MS);
  }
}

/**
 * From now on the server answers a page one question at a time, each only once the page has nothing else left to do;
 * `next` takes the one to answer out of those that wait, in the order they were asked.
 */
export async function oneByOne(page: Page, next: (held: HTTPRequest[]) => HTTPRequest | undefined): Promise<void> {
  const held: HTTPRequest[] = [];
  let answering = false;
  const settled = async (): Promise<void> => {
    for (let quiet = 0; quiet < LOOKS; await pause(LOOK_AGAIN_MS)) {
      // A page that is just being left has nothing to do.
      await isLoading(page).catch(() => true);
      const open = asking.get(page)?.().length ?? 0;
      quiet = open > held.length ? 0 : quiet + 1;
    }
  };
  const answerAll = async (): Promise<void> => {
    if (answering) return;
    answering = true;
    for (await settled(); held.length > 0; await settled()) await next(held)?.continue();
    answering = false;
  };
  await page.setRequestInterception(true);
  page.on('request', (asked) => {
    if (!new URL(asked.url()).pathname.startsWith('/api/')) return void asked.continue();
    held.push(asked);
    void answerAll();
  });
}

/** Opens an address as if typed in, and waits until the page is at rest. */
export async function visit(page: Page, url: string): Promise<void> {
  // A sheet that was just closed goes back in the browser's history by itself: what is opened meanwhile would be left again.
  await page.waitForFunction(
    () => document.querySelector('[role=dialog]') !== null || history.state?.uluSheet === undefined,
  );
  await page.goto(url, { waitUntil: 'load' });
  await atRest(page);
}

/** Whose device it is from its first page on, until a test says otherwise. */
export const heldBy = (page: Page, playerId: string): Promise<unknown> =>
  page.evaluateOnNewDocument((id) => {
    if (location.protocol.startsWith('http') && localStorage.getItem('ulu.player') === null)
      localStorage.setItem('ulu.player', id);
  }, playerId);

/** Goes to another address without loading the program anew, as a link does, and waits until the page is at rest. */
export async function follow(page: Page, url: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, url);
  await atRest(page);
}

/** Loads the page anew, and waits until it is at rest. */
export const visitAgain = (page: Page): Promise<void> => visit(page, page.url());

/**
 * A page that remembers every complaint, of a visitor nobody has seen before, or of one that has been here; `lights` is
 * the theme the device asks for.
 */
export async function walk(
  who: Browser | BrowserContext,
  url: string,
  lights: 'light' | 'dark' = 'light',
): Promise<Walker> {
  const context = 'createBrowserContext' in who ? await who.createBrowserContext() : who;
  const page = await context.newPage();
  page.setDefaultTimeout(WAIT_MS);
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
  page.on('pageerror', (error) => complaints.push(String(error)));
  await page.emulateMediaFeatures([
    { name: 'prefers-color-scheme', value: lights },
    { name: 'prefers-reduced-motion', value: 'reduce' },
  ]);
  await watchRequests(page);
  await visit(page, url);
  return Object.assign(page, { complaints });
}

const CALM_WITHIN_MS = 3_000;

/** Lets what is about to move come to rest, as a finger would; whatever does not is tapped all the same. */
const calm = (page: Page): Promise<void> => atRest(page, CALM_WITHIN_MS).catch(() => undefined);

/** Clicks what a screen reader would call `name`. */
export async function tap(page: Page, name: string, role = 'button'): Promise<void> {
  await calm(page);
  await orTell(page, `${role} "${name}"`, page.locator(`::-p-aria([name="${name}"][role="${role}"])`).click());
}

/** Clicks the first element that carries the words. */
export async function press(page: Page, words: string): Promise<void> {
  await calm(page);
  await orTell(page, words, page.locator(`::-p-text(${words})`).click());
}

/** A wait that did not come true says what the page said instead. */
async function orTell(page: Page, wanted: string, waiting: Promise<unknown>): Promise<void> {
  try {
    await waiting;
  } catch (error) {
    throw new Error(`${wanted}: the page says\n${await textOf(page)}`, { cause: error });
  }
}

export const sees = (page: Page, words: string): Promise<void> =>
  orTell(
    page,
    words,
    page.waitForFunction((wanted) => document.body.innerText.includes(wanted), { timeout: WAIT_MS }, words),
  );

export const textOf = (page: Page): Promise<string> => page.evaluate(() => document.body.innerText);

/** Steps of the run on screen that are ticked or left out, and how many there are: "3 of 14 steps". */
export async function progress(page: Page): Promise<{ closed: number; total: number }> {
  const found = /(\d+) of (\d+) steps/.exec(await textOf(page));
  if (!found) throw new Error('no run on screen');
  return { closed: Number(found[1]), total: Number(found[2]) };
}

/** One step at a time, whatever way the player usually goes through a run. */
export async function stepByStep(page: Page): Promise<void> {
  await tap(page, 'Step by step');
  await sees(page, 'Skip…');
  // The choice is in the record, and what hangs on its player has been looked at again.
  await atRest(page);
}

/** Waits until that many steps are closed. */
export const closedSteps = (page: Page, closed: number): Promise<void> =>
  orTell(
    page,
    `${closed} closed steps`,
    page.waitForFunction(
      // "2 of about 4 passes" is no step.
      (wanted) => /(\d+) of \d+ steps/.exec(document.body.innerText)?.[1] === wanted,
      { timeout: WAIT_MS },
      String(closed),
    ),
  );

/** Waits until everything that happened in runs has been sent and confirmed. */
export const allSent = (page: Page): Promise<unknown> =>
  page.waitForSelector('[data-waiting="0"]', { timeout: WAIT_MS });

export const heading = (page: Page, level: 1 | 2 = 1): Promise<string> =>
  page.$eval(`h${level}`, (element) => (element as HTMLElement).innerText);

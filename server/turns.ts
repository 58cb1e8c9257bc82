/** After so many milliseconds of work the server lets others have their turn. */
const TURN_MS = 10;

const nextTurn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** Works through a list, letting other requests in between as often as the work has held them up for a while. */
export async function inTurns<From, To>(list: readonly From[], work: (one: From) => readonly To[]): Promise<To[]> {
  const done: To[] = [];
  let since = performance.now();
  for (const one of list) {
    done.push(...work(one));
    if (performance.now() - since < TURN_MS) continue;
    await nextTurn();
    since = performance.now();
  }
  return done;
}

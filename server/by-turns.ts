/** What one client has waiting, each since when, and since when it is that client's turn to come, ms. */
type Waiting<Item> = { readonly since: number; readonly items: { readonly item: Item; readonly since: number }[] };

/**
 * Things that wait for their turn: each client in turn has its oldest taken, so that nobody waits longer because somebody
 * else wants much. A client is whoever says so, by any name.
 */
export class ByTurns<Item> {
  /** In the order of their turns: who had one goes to the end. */
  readonly #clients = new Map<string, Waiting<Item>>();

  /** @param nowMs a clock that only goes forward */
  constructor(private readonly nowMs: () => number = () => performance.now()) {}

  /** How many clients have something waiting. */
  get clients(): number {
    return this.#clients.size;
  }

  /** How many things one client has waiting. */
  waitingOf(client: string): number {
    return this.#clients.get(client)?.items.length ?? 0;
  }

  /** How long the oldest thing of one client has waited, ms. */
  oldestWaitMs(client: string): number {
    const [oldest] = this.#clients.get(client)?.items ?? [];
    return oldest === undefined ? 0 : this.nowMs() - oldest.since;
  }

  /** How long the client whose turn comes next has waited for it, ms; 0 where nobody waits. */
  turnWaitMs(): number {
    const [first] = this.#clients.values();
    return first === undefined ? 0 : this.nowMs() - first.since;
  }

  add(client: string, item: Item): void {
    const since = this.nowMs();
    const waiting = this.#clients.get(client);
    if (waiting) waiting.items.push({ item, since });
    else this.#clients.set(client, { since, items: [{ item, since }] });
  }

  /** The oldest thing of the client whose turn it is; `undefined` where nothing waits. */
  take(): Item | undefined {
    const [first] = this.#clients;
    if (first === undefined) return undefined;
    const [client, waiting] = first;
    this.#clients.delete(client);
    const oldest = waiting.items.shift();
    if (waiting.items.length > 0) this.#clients.set(client, { since: this.nowMs(), items: waiting.items });
    return oldest?.item;
  }

  /** Takes one thing out of its turn, nobody wants it any more; false where it does not wait. */
  drop(client: string, item: Item): boolean {
    const items = this.#clients.get(client)?.items ?? [];
    const at = items.findIndex((one) => one.item === item);
    if (at >= 0) items.splice(at, 1);
    if (items.length === 0) this.#clients.delete(client);
    return at >= 0;
  }

  /** Everything that waits is taken, in turn. */
  *takeAll(): Generator<Item> {
    for (let item = this.take(); item !== undefined; item = this.take()) yield item;
  }
}

/** All of them by a key, each group in their order. */
export function grouped<Key, One>(all: readonly One[], keyOf: (one: One) => Key): Map<Key, One[]> {
  const groups = new Map<Key, One[]>();
  for (const one of all) {
    const known = groups.get(keyOf(one));
    if (known === undefined) groups.set(keyOf(one), [one]);
    else known.push(one);
  }
  return groups;
}

/** How each room is made. */
type Makers<Rooms extends object> = { readonly [Name in keyof Rooms]: () => Rooms[Name] };

/**
 * Rooms that are each made when somebody first asks for it: a server is up before it has put together every statement it
 * may come to need, and most who ask need a few.
 *
 * @returns the rooms under their names; the same one each time
 */
export function onFirstUse<Rooms extends object>(makers: Makers<Rooms>): Rooms {
  const rooms = {};
  for (const [name, make] of Object.entries<() => unknown>(makers)) {
    let made: { readonly room: unknown } | undefined;
    Object.defineProperty(rooms, name, { enumerable: true, get: () => (made ??= { room: make() }).room });
  }
  return rooms as Rooms;
}

/** These rooms with something beside them. None is made by it: a plain spread would make all of them. */
export const beside = <Rooms extends object, Own extends object>(rooms: Rooms, own: Own): Rooms & Own =>
  Object.defineProperties(own, Object.getOwnPropertyDescriptors(rooms)) as Rooms & Own;

import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

/** A place in a drawing of rows and days: a row, and a day from today on. */
export type Cell = { readonly row: number; readonly day: number };
export const sameCell = (one: Cell, other: Cell): boolean => one.row === other.row && one.day === other.day;

export const ARROWS: Readonly<Record<string, Cell>> = {
  ArrowLeft: { row: 0, day: -1 },
  ArrowRight: { row: 0, day: 1 },
  ArrowUp: { row: -1, day: 0 },
  ArrowDown: { row: 1, day: 0 },
};

type Moving<Thing extends Cell> = {
  /** What can be reached, each in a place of its own. */
  readonly things: readonly Thing[];
  /** How large a place is drawn, px. */
  readonly size: { readonly row: number; readonly day: number };
  /** A place so many rows and days on, inside the drawing. */
  readonly shifted: (from: Cell, by: Cell) => Cell;
  /** Where an arrow key goes from there. */
  readonly neighbour: (from: Cell, key: string) => Cell;
  /** Some can only be opened. */
  readonly canCarry?: (thing: Thing) => boolean;
  /** Puts it down elsewhere. */
  readonly onMove: (thing: Thing, to: Cell) => void;
  readonly onOpen: (thing: Thing) => void;
};

/** Moves less than this are a tap, px. */
const SLIP = 5;

type Held<Thing> = { readonly thing: Thing; readonly to: Cell };

/** A thing pulled by a mouse or a pen. A finger swipes the drawing instead, and taps. */
function useDrag<Thing extends Cell>({ size, shifted, onMove }: Pick<Moving<Thing>, 'size' | 'shifted' | 'onMove'>) {
  const from = useRef<{ readonly thing: Thing; readonly x: number; readonly y: number } | null>(null);
  const [held, setHeld] = useState<Held<Thing> | null>(null);
  const wasDragged = useRef(false);
  const target = (event: PointerEvent): Held<Thing> | null => {
    if (from.current === null) return null;
    const { thing, x, y } = from.current;
    const [dx, dy] = [event.clientX - x, event.clientY - y];
    if (held === null && Math.hypot(dx, dy) < SLIP) return null;
    const by = { row: Math.round(dy / size.row), day: Math.round(dx / size.day) };
    return { thing, to: shifted(thing, by) };
  };
  const end = (): void => {
    from.current = null;
    setHeld(null);
  };
  return {
    held,
    /** The tap that ends a pull is none. */
    isTap: () => !wasDragged.current,
    on: (thing: Thing) => ({
      onPointerDown: (event: PointerEvent<SVGGElement>) => {
        wasDragged.current = false;
        if (event.pointerType === 'touch' || event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { thing, x: event.clientX, y: event.clientY };
      },
      onPointerMove: (event: PointerEvent) => {
        const now = target(event);
        if (now !== null) setHeld(now);
      },
      onPointerUp: (event: PointerEvent) => {
        const now = target(event);
        if (now !== null) {
          wasDragged.current = true;
          if (!sameCell(now.thing, now.to)) onMove(now.thing, now.to);
        }
        end();
      },
      onPointerCancel: end,
    }),
  };
}

/**
 * Moving what is planned. By keys: arrows go from one to the next, the space bar picks one up, arrows carry it, the space
 * bar or Enter puts it down and Escape leaves it where it was; Enter opens it. By mouse: it is pulled. By finger: a tap
 * opens it. Whoever draws it marks each thing with `data-cell`, "row day".
 */
export function useMoves<Thing extends Cell>(moving: Moving<Thing>) {
  const { things, size, shifted, neighbour, canCarry = () => true, onMove, onOpen } = moving;
  const [at, setAt] = useState<Cell | null>(null);
  const [carried, setCarried] = useState<Held<Thing> | null>(null);
  const drag = useDrag({ size, shifted, onMove });
  const focused = things.find((one) => at !== null && sameCell(one, at)) ?? things[0] ?? null;
  const go = (svg: Element | null, to: Cell): void => {
    setAt(to);
    svg?.querySelector<SVGGElement>(`[data-cell="${to.row} ${to.day}"]`)?.focus();
  };
  const carry = ({ key }: KeyboardEvent, { thing, to }: Held<Thing>): boolean => {
    const by = ARROWS[key];
    if (by) setCarried({ thing, to: shifted(to, by) });
    else if (key === ' ' || key === 'Enter') {
      setCarried(null);
      if (!sameCell(thing, to)) {
        onMove(thing, to);
        setAt(to);
      }
    } else if (key === 'Escape') setCarried(null);
    else return false;
    return true;
  };
  const press = (event: KeyboardEvent<SVGGElement>, thing: Thing): boolean => {
    if (carried !== null) return carry(event, carried);
    if (event.key in ARROWS) go(event.currentTarget.ownerSVGElement, neighbour(thing, event.key));
    else if (event.key === ' ' && canCarry(thing)) setCarried({ thing, to: thing });
    else if (event.key === 'Enter' || event.key === ' ') onOpen(thing);
    else return false;
    return true;
  };
  return {
    things,
    /** Where what is being moved would lie. */
    held: drag.held ?? carried,
    on: (thing: Thing) => ({
      ...drag.on(thing),
      tabIndex: focused !== null && sameCell(thing, focused) ? 0 : -1,
      onFocus: () => setAt(thing),
      onBlur: () => setCarried(null),
      onClick: () => drag.isTap() && onOpen(thing),
      onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
        if (!press(event, thing)) return;
        event.preventDefault();
        event.stopPropagation();
      },
    }),
  };
}

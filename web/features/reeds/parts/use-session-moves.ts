import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { ReedPlanView } from '#contract/reed-views.ts';
import {
  ARROWS,
  neighbourOf,
  sameCell,
  sessionsOf,
  shifted,
  type Cell,
  type RowsSize,
  type Session,
} from '#web/features/reeds/parts/reed-rows-grid.ts';

type Moving = {
  readonly plan: ReedPlanView;
  readonly size: RowsSize;
  /** Puts a session down elsewhere. */
  readonly onMove: (session: Session, to: Cell) => void;
  readonly onOpen: (session: Session) => void;
};

/** Moves less than this are a tap, px. */
const SLIP = 5;

type Held = { readonly session: Session; readonly to: Cell };

/** A session pulled by a mouse or a pen. A finger swipes the drawing instead, and taps. */
function useDrag({ plan, size, onMove }: Omit<Moving, 'onOpen'>) {
  const from = useRef<{ readonly session: Session; readonly x: number; readonly y: number } | null>(null);
  const [held, setHeld] = useState<Held | null>(null);
  const wasDragged = useRef(false);
  const target = (event: PointerEvent): Held | null => {
    if (from.current === null) return null;
    const { session, x, y } = from.current;
    const [dx, dy] = [event.clientX - x, event.clientY - y];
    if (held === null && Math.hypot(dx, dy) < SLIP) return null;
    const by = { row: Math.round(dy / size.row), day: Math.round(dx / size.day) };
    return { session, to: shifted(session, by, plan) };
  };
  const end = (): void => {
    from.current = null;
    setHeld(null);
  };
  return {
    held,
    /** The tap that ends a pull is none. */
    isTap: () => !wasDragged.current,
    on: (session: Session) => ({
      onPointerDown: (event: PointerEvent<SVGGElement>) => {
        wasDragged.current = false;
        if (event.pointerType === 'touch' || event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { session, x: event.clientX, y: event.clientY };
      },
      onPointerMove: (event: PointerEvent) => {
        const now = target(event);
        if (now !== null) setHeld(now);
      },
      onPointerUp: (event: PointerEvent) => {
        const now = target(event);
        if (now !== null) {
          wasDragged.current = true;
          if (!sameCell(now.session, now.to)) onMove(now.session, now.to);
        }
        end();
      },
      onPointerCancel: end,
    }),
  };
}

/**
 * Moving planned sessions. By keys: arrows go from one to the next, the space bar picks one up, arrows carry it, the
 * space bar or Enter puts it down and Escape leaves it where it was; Enter opens it. By mouse: it is pulled. By finger:
 * a tap opens it.
 */
export function useSessionMoves({ plan, size, onMove, onOpen }: Moving) {
  const sessions = sessionsOf(plan);
  const [at, setAt] = useState<Cell | null>(null);
  const [carried, setCarried] = useState<Held | null>(null);
  const drag = useDrag({ plan, size, onMove });
  const focused = sessions.find((one) => at !== null && sameCell(one, at)) ?? sessions[0] ?? null;
  const go = (svg: Element | null, to: Cell): void => {
    setAt(to);
    svg?.querySelector<SVGGElement>(`[data-session="${to.row} ${to.day}"]`)?.focus();
  };
  const carry = ({ key }: KeyboardEvent, { session, to }: Held): boolean => {
    const by = ARROWS[key];
    if (by) setCarried({ session, to: shifted(to, by, plan) });
    else if (key === ' ' || key === 'Enter') {
      setCarried(null);
      if (!sameCell(session, to)) {
        onMove(session, to);
        setAt(to);
      }
    } else if (key === 'Escape') setCarried(null);
    else return false;
    return true;
  };
  const press = (event: KeyboardEvent<SVGGElement>, session: Session): boolean => {
    if (carried !== null) return carry(event, carried);
    if (event.key in ARROWS) go(event.currentTarget.ownerSVGElement, neighbourOf(sessions, session, event.key));
    else if (event.key === ' ' && session.minutes > 0) setCarried({ session, to: session });
    else if (event.key === 'Enter' || event.key === ' ') onOpen(session);
    else return false;
    return true;
  };
  return {
    sessions,
    /** Where a session that is being moved would lie. */
    held: drag.held ?? carried,
    on: (session: Session) => ({
      ...drag.on(session),
      tabIndex: focused !== null && sameCell(session, focused) ? 0 : -1,
      onFocus: () => setAt(session),
      onBlur: () => setCarried(null),
      onClick: () => drag.isTap() && onOpen(session),
      onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
        if (!press(event, session)) return;
        event.preventDefault();
        event.stopPropagation();
      },
    }),
  };
}

import { type PointerEvent, useCallback, useEffect, useRef, useState } from 'react';
import { isTyped } from './typed.ts';

// Not @use-gesture: distance and thresholds are the small part of this; numbers typed during a drag, Escape that gives it up and edits that are
// one step of undo would have to be built round it all the same.
interface Drag<T> {
  /** What the drag began with; null when it may not begin here. */
  begin: (event: PointerEvent) => T | null;
  /** While the pointer moves; `typed` is what has been written meanwhile. */
  move: (
    start: T,
    event: { clientX: number; clientY: number; altKey: boolean; shiftKey: boolean },
    typed: string,
  ) => void;
  /** Let go after a real move, or confirmed by Enter. */
  end: (start: T, typed: string) => void;
  /** Pressed and let go without moving. */
  click?: (start: T, event: PointerEvent) => void;
  /** Given up with Escape, or taken away by the system. */
  cancel: () => void;
}

/** A pointer must travel so far before it is a drag, pixels. */
const THRESHOLD_PX = 3;

/**
 * Dragging by pointer with everything a drag needs: capture, a threshold, Escape, and numbers written on the keyboard while the button is
 * down (Enter takes them). Gives the handlers, and what is written now.
 */
export function useDrag<T>({ begin, move, end, click, cancel }: Drag<T>) {
  const [typed, setTyped] = useState('');
  const [dragging, setDragging] = useState(false);
  const state = useRef<{
    start: T;
    x: number;
    y: number;
    moved: boolean;
    last: PointerEvent | null;
    typed: string;
  } | null>(null);
  const actions = useRef({ move, end, cancel });
  actions.current = { move, end, cancel };

  const stop = useCallback(() => {
    state.current = null;
    setTyped('');
    setDragging(false);
  }, []);
  const giveUp = () => {
    if (!state.current) return;
    stop();
    actions.current.cancel();
  };
  useEffect(() => {
    if (!dragging) return;
    const key = (event: KeyboardEvent) => {
      const now = state.current;
      if (!now) return;
      if (event.key === 'Escape') {
        stop();
        actions.current.cancel();
      } else if (event.key === 'Enter') {
        const { start, typed: written } = now;
        stop();
        actions.current.end(start, written);
      } else if (
        event.key === 'Backspace' ||
        (isTyped(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey)
      ) {
        now.typed = event.key === 'Backspace' ? now.typed.slice(0, -1) : now.typed + event.key;
        setTyped(now.typed);
        if (now.last) actions.current.move(now.start, now.last, now.typed);
      } else return;
      event.preventDefault();
      event.stopPropagation();
    };
    window.addEventListener('keydown', key, true);
    return () => window.removeEventListener('keydown', key, true);
  }, [dragging, stop]);

  return {
    typed,
    dragging,
    handlers: {
      onPointerDown: (event: PointerEvent) => {
        if (event.button !== 0) return;
        const start = begin(event);
        if (start === null) return;
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        state.current = { start, x: event.clientX, y: event.clientY, moved: false, last: null, typed: '' };
      },
      onPointerMove: (event: PointerEvent) => {
        const now = state.current;
        if (!now) return;
        if (!now.moved) {
          if (Math.hypot(event.clientX - now.x, event.clientY - now.y) < THRESHOLD_PX) return;
          now.moved = true;
          setDragging(true);
        }
        now.last = event;
        move(now.start, event, now.typed);
      },
      onPointerUp: (event: PointerEvent) => {
        const now = state.current;
        if (!now) return;
        const { start, moved, typed: written } = now;
        stop();
        if (moved) end(start, written);
        else click?.(start, event);
      },
      onPointerCancel: giveUp,
    },
  };
}

/**
 * The one card that tells of a word (`ui/help/Word.tsx`): where the pointer rests on it, where a finger taps it, and where a field is reached by keyboard.
 * It stands beside the word, over nothing that moves; Escape puts it away, and it can be pointed at. F1 opens it for the field that has the focus, and all
 * words where nothing has.
 */
import { Popover } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { HelpPicture } from '../ui/help/HelpPicture.tsx';
import { type Told, tellOf } from '../ui/help/tell.ts';

const REST_MS = 450;
const BY_KEYBOARD_MS = 900;
const LEAVE_MS = 250;

const wordAt = (target: EventTarget | null): HTMLElement | null =>
  target instanceof Element ? target.closest<HTMLElement>('[data-word]') : null;

/** The word of the field that has the focus: in its own label, or in the row it stands in. */
function wordOf(field: Element | null): HTMLElement | null {
  if (!(field instanceof HTMLElement) || !field.matches('input, select, textarea, button, a')) return null;
  const own = field.closest('[data-word]') ?? field.querySelector('[data-word]');
  const labels = 'labels' in field ? (field as HTMLInputElement).labels : null;
  return (own ?? labels?.[0]?.querySelector('[data-word]') ?? null) as HTMLElement | null;
}

const toldBy = ({ dataset }: HTMLElement): Told | undefined => tellOf(dataset.word ?? '', dataset.view);

export function HelpCard() {
  const [word, setWord] = useState<HTMLElement | null>(null);
  const anchor = useRef<HTMLElement | null>(null);
  anchor.current = word;
  const told = word?.isConnected ? toldBy(word) : undefined;
  const timer = useRef(0);
  const later = (ms: number, element: HTMLElement | null) => {
    clearTimeout(timer.current);
    timer.current = window.setTimeout(() => setWord(element), ms);
  };
  useEffect(() => {
    let byKeyboard = false;
    let last = [Number.NaN, Number.NaN];
    const moved = (event: PointerEvent) => {
      last = [event.clientX, event.clientY];
    };
    const after = (ms: number, element: HTMLElement | null) => {
      clearTimeout(timer.current);
      timer.current = window.setTimeout(() => setWord(element), ms);
    };
    const over = (event: PointerEvent) => {
      if (event.pointerType === 'touch') return;
      // What comes under a pointer that rests was not asked for.
      const rests = event.clientX === last[0] && event.clientY === last[1];
      last = [event.clientX, event.clientY];
      if (rests) return;
      const at = wordAt(event.target);
      const onCard = event.target instanceof Element && event.target.closest('[data-help-card]');
      if (onCard) clearTimeout(timer.current);
      else after(at ? REST_MS : LEAVE_MS, at);
    };
    const tap = (event: PointerEvent) => {
      byKeyboard = false;
      const at = wordAt(event.target);
      if (event.pointerType !== 'touch') return after(0, null);
      clearTimeout(timer.current);
      setWord((now) => (now === at ? null : at));
    };
    // A finger on a label asks what it means; the field itself is as near.
    const noFocus = (event: MouseEvent) => {
      if ((event as PointerEvent).pointerType === 'touch' && wordAt(event.target)?.closest('label'))
        event.preventDefault();
    };
    const focus = (event: FocusEvent) => {
      const at = byKeyboard ? wordOf(event.target as Element) : null;
      after(at ? BY_KEYBOARD_MS : LEAVE_MS, at);
    };
    const key = (event: KeyboardEvent) => {
      byKeyboard = event.key === 'Tab' || (byKeyboard && event.key === 'Shift');
      clearTimeout(timer.current);
      const at = event.key === 'F1' ? wordOf(document.activeElement) : null;
      if (at) {
        // Else it is the command that shows all words.
        event.preventDefault();
        event.stopPropagation();
        setWord((now) => (now === at ? null : at));
      } else if (event.key !== 'Tab' && event.key !== 'Shift') setWord(null);
    };
    document.addEventListener('pointerover', over);
    document.addEventListener('pointermove', moved);
    document.addEventListener('pointerdown', tap, true);
    document.addEventListener('click', noFocus, true);
    document.addEventListener('focusin', focus);
    document.addEventListener('keydown', key, true);
    const gone = () => setWord(null);
    document.addEventListener('scroll', gone, true);
    return () => {
      clearTimeout(timer.current);
      document.removeEventListener('pointerover', over);
      document.removeEventListener('pointermove', moved);
      document.removeEventListener('pointerdown', tap, true);
      document.removeEventListener('click', noFocus, true);
      document.removeEventListener('focusin', focus);
      document.removeEventListener('keydown', key, true);
      document.removeEventListener('scroll', gone, true);
    };
  }, []);
  return (
    <Popover.Root open={told !== undefined}>
      <Popover.Anchor virtualRef={anchor as React.RefObject<HTMLElement>} />
      {told && (
        <Popover.Portal>
          <Popover.Content
            key={told.word}
            data-help-card
            side={word?.closest('aside') ? 'left' : 'top'}
            align="start"
            sideOffset={10}
            collisionPadding={8}
            aria-label="What is meant"
            onOpenAutoFocus={(event) => event.preventDefault()}
            onCloseAutoFocus={(event) => event.preventDefault()}
            onPointerLeave={() => later(LEAVE_MS, null)}
            className="z-60 w-[270px] rounded-md border border-graphite bg-sheet p-2.5 text-sm shadow-lg"
          >
            <p className="font-semibold">{told.word}</p>
            {told.picture && <HelpPicture id={told.picture} />}
            <p>{told.text}</p>
          </Popover.Content>
        </Popover.Portal>
      )}
    </Popover.Root>
  );
}

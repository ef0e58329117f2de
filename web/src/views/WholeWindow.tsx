import { Maximize2, Minimize2 } from 'lucide-react';
import { useShell } from '../app/shellStore.ts';
import { Button } from '../ui/Button.tsx';

/** Gives the drawing the whole window, or takes it back. */
export function WholeWindow() {
  const whole = useShell((shell) => shell.wholeWindow);
  return (
    <Button
      tone="quiet"
      aria-pressed={whole}
      aria-label="The drawing in the whole window"
      title="The drawing in the whole window, and back (F9)"
      onClick={() => useShell.setState({ wholeWindow: !whole })}
    >
      {whole ? <Minimize2 size={15} aria-hidden /> : <Maximize2 size={15} aria-hidden />}
    </Button>
  );
}

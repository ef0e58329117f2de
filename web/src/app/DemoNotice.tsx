import { useStore } from 'zustand';
import { projectStore } from '../store/projectStore.ts';
import { useView } from '../store/viewStore.ts';
import { Button } from '../ui/Button.tsx';
import { useShell } from './shellStore.ts';

/** On a first start, in the top line, where it takes no room from the drawing: what this is, and the ways on. */
export function DemoNotice() {
  const seen = useView((view) => view.demoNoticeSeen);
  const isDemo = useStore(projectStore, (state) => state.project?.name === 'Harl Quarry');
  if (seen || !isDemo) return null;
  const done = () => useView.setState({ demoNoticeSeen: true });
  return (
    <section
      aria-label="About the demo"
      className="flex items-center justify-center gap-2 max-[999px]:flex-wrap max-[999px]:justify-start"
    >
      <p className="truncate text-muted max-[1199px]:hidden" title="Change anything: every step can be undone.">
        An invented demo: change anything.
      </p>
      <Button tone="main" onClick={() => useShell.setState({ start: true })}>
        Start my own
      </Button>
      <Button onClick={() => useShell.setState({ walk: 0 })}>Walk me through</Button>
      <Button tone="quiet" onClick={done}>
        Explore the demo
      </Button>
    </section>
  );
}

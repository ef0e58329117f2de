import { Command as Search } from 'cmdk';
import { Dialog } from '../ui/Dialog.tsx';
import { Table } from '../ui/Table.tsx';
import type { Command } from './commands.ts';
import { useShell } from './shellStore.ts';

/** One search for everything that can be done. */
export function CommandSearch({ commands }: { commands: readonly Command[] }) {
  const open = useShell((shell) => shell.search);
  const close = () => useShell.setState({ search: false });
  return (
    <Dialog open={open} onOpen={(search) => useShell.setState({ search })} title="Find a command">
      <Search label="Commands">
        <Search.Input
          placeholder="Write part of its name"
          className="mb-2 w-full rounded-md border border-line bg-plaster px-3 py-1.5 text-base"
        />
        <Search.List label="Commands found" className="max-h-[50vh] overflow-y-auto">
          <Search.Empty className="p-3 text-muted">No command has that name.</Search.Empty>
          {commands.map(({ name, keys, run }) => (
            <Search.Item
              key={name}
              value={name}
              onSelect={() => {
                close();
                run();
              }}
              className="flex cursor-pointer justify-between rounded-md px-3 py-1.5 data-[selected=true]:bg-plaster"
            >
              {name}
              {keys && <kbd className="figure text-xs text-muted">{keys}</kbd>}
            </Search.Item>
          ))}
        </Search.List>
      </Search>
    </Dialog>
  );
}

const handKeys: [string, string][] = [
  ['Arrow keys on a handle', 'nudge 1 mm; with Shift 10 mm'],
  ['Numbers while dragging', '"120; 45" puts a point there, "30" so far on the way; Enter takes it'],
  ['Alt while dragging', 'take hold of nothing'],
  ['Delete on a point', 'take the point out'],
  ['Shift or Ctrl and click', 'pick one more; Shift and drag over free ground picks all in a box'],
  ['Wheel, pinch, + and −', 'zoom the plan; drag free ground or arrow keys to move it, 0 for the whole base'],
  [
    'Arrow keys, Space, Enter',
    'draw with a cross: move, put a point, end the line closed (Shift+Enter leaves it open)',
  ],
  ['Escape', 'give up a drag, a drawing or a half-written field'],
  ['Arrow up and down in a field', 'one step; with Shift ten'],
];

/** Every key there is, by where it acts. */
export function Shortcuts({ commands }: { commands: readonly Command[] }) {
  const open = useShell((shell) => shell.shortcuts);
  const keyed = commands.flatMap(({ name, keys }) => (keys ? [[keys, name] as const] : []));
  const draws = ([, name]: readonly [string, string]) => name.startsWith('Draw: ');
  const groups: readonly (readonly [string, readonly (readonly [string, string])[]])[] = [
    ['Everywhere', keyed.filter((one) => !draws(one))],
    ['To draw', keyed.filter(draws)],
    ['At the drawing', handKeys],
  ];
  return (
    <Dialog open={open} onOpen={(shortcuts) => useShell.setState({ shortcuts })} title="Keys">
      {/* Reached by Tab, so that it can be scrolled by keyboard. */}
      <section tabIndex={open ? 0 : -1} aria-label="All keys" className="max-h-[64vh] overflow-y-auto">
        <Table label="Keys">
          {groups.map(([title, rows]) => (
            <tbody key={title}>
              <tr>
                <th scope="rowgroup" colSpan={2}>
                  {title}
                </th>
              </tr>
              {rows.map(([keys, name]) => (
                <tr key={keys}>
                  <th scope="row" className="figure">
                    {keys}
                  </th>
                  <td>{name}</td>
                </tr>
              ))}
            </tbody>
          ))}
        </Table>
      </section>
    </Dialog>
  );
}

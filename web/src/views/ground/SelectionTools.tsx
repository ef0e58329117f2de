import {
  baseFromOutline,
  changeItem,
  copyItems,
  type Item,
  isClosed,
  isLandform,
  isMark,
  isPoint,
  middleOf,
  mirrorItems,
  removeItems,
  reorderItem,
  runOf,
  turnedRound,
  turnItems,
} from '@hosket/core';
import { useState } from 'react';
import { edit, projectNow, undo } from '../../store/projectStore.ts';
import { pickItem, pickItems } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { NumberField } from '../../ui/Field.tsx';
import { say as sayToast } from '../../ui/toast.tsx';

/** What can be done with everything that is picked. */
export function SelectionTools({ items }: { items: readonly Item[] }) {
  const ids = items.map(({ id }) => id);
  const [degrees, setDegrees] = useState(15);
  const middle = middleOf(items.flatMap(({ points }) => points));
  const allLocked = items.every(({ locked }) => locked);
  const set = (change: object) => edit((p) => ids.reduce((next, id) => changeItem(next, id, { ...change }), p));
  const remove = () => {
    edit((p) => removeItems(p, ids));
    pickItem(null);
    const what = items.length === 1 ? items[0].name || 'It' : `${items.length} things`;
    sayToast(`${what} ${items.length === 1 ? 'was' : 'were'} deleted.`, { name: 'Bring back', run: undo });
  };
  const copy = () =>
    edit((p) => {
      const copied = copyItems(p, ids, [10, -10]);
      pickItems(copied.ids);
      return copied.project;
    });
  const only = items.length === 1 ? items[0] : undefined;
  return (
    <>
      <Button onClick={copy}>Copy</Button>
      <Button disabled={allLocked} onClick={() => edit((p) => mirrorItems(p, ids, middle[0]))}>
        Mirror
      </Button>
      <Button disabled={allLocked} onClick={() => edit((p) => turnItems(p, ids, middle, degrees))}>
        Turn by {degrees}°
      </Button>
      <div className="w-[70px]">
        <NumberField
          hideLabel
          label="Degrees to turn by"
          unit="°"
          value={degrees}
          least={-180}
          most={180}
          onValue={setDegrees}
        />
      </div>
      <Button aria-pressed={allLocked} onClick={() => set({ locked: !allLocked })}>
        {allLocked ? 'Unlock' : 'Lock'}
      </Button>
      <Button onClick={() => set({ hidden: !items.every(({ hidden }) => hidden) })}>
        {items.every(({ hidden }) => hidden) ? 'Show on the plan' : 'Hide on the plan'}
      </Button>
      {only && !isClosed(only) && !isPoint(only) && (
        <Button disabled={only.locked} onClick={() => edit((p) => changeItem(p, only.id, { ...turnedRound(only) }))}>
          Run the other way
        </Button>
      )}
      {only && isClosed(only) && isMark(only) && (
        <Button
          onClick={() => {
            const taken = baseFromOutline(removeItems(projectNow(), [only.id]), runOf(only));
            if (!taken) return sayToast(`${only.name || 'It'} cannot be a base: it crosses itself, or is too small.`);
            edit(() => taken);
            pickItem(null);
          }}
        >
          Make it the base
        </Button>
      )}
      {only && isLandform(only) && (
        <>
          <Button onClick={() => edit((p) => reorderItem(p, only.id, -1))}>Build earlier</Button>
          <Button onClick={() => edit((p) => reorderItem(p, only.id, 1))}>Build later</Button>
        </>
      )}
      <Button disabled={allLocked} onClick={remove}>
        Delete {items.length > 1 ? 'them' : only && isMark(only) ? 'mark' : 'it'}
      </Button>
    </>
  );
}

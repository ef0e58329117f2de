import { type Askable, askables, type Between, type ZoneRule } from '@hosket/core';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, NumberOrNoneField } from '../../ui/Field.tsx';
import { askableWords } from './whenWords.ts';

interface Props {
  when: ZoneRule['when'];
  onWhen: (when: ZoneRule['when']) => void;
}

const usual: Readonly<Record<Askable, Between>> = {
  slope: { from: 40, to: null },
  height: { from: 20, to: null },
  water: { from: null, to: 10 },
  wall: { from: null, to: 5 },
  rock: { from: null, to: 20 },
  way: { from: null, to: 5 },
  wetness: { from: 6, to: null },
  shade: { from: 60, to: null },
  edge: { from: null, to: 10 },
};

/** All that a rule asks for: each with its limits, either of which may be left open. */
export function RuleConditions({ when, onWhen }: Props) {
  const asked = askables.filter((what) => when[what] !== null);
  const free = askables.filter((what) => when[what] === null);
  const set = (what: Askable, limits: Between | null) => onWhen({ ...when, [what]: limits });
  return (
    <>
      {asked.map((what) => {
        const { name, unit } = askableWords[what];
        const { from, to } = when[what] ?? { from: null, to: null };
        const label = name[0].toUpperCase() + name.slice(1);
        return (
          <div key={what} className="col-span-2 grid grid-cols-[1fr_1fr_auto] items-end gap-2">
            <NumberOrNoneField
              label={`${label}, at least`}
              unit={unit}
              value={from}
              least={0}
              most={to === null ? 5000 : to - 0.01}
              onValue={(value) => set(what, { from: value, to })}
            />
            <NumberOrNoneField
              label={`${label}, below`}
              unit={unit}
              value={to}
              least={from === null ? 0.01 : from + 0.01}
              most={5000}
              onValue={(value) => set(what, { from, to: value })}
            />
            <Button tone="quiet" onClick={() => set(what, null)} aria-label={`Do not ask for ${name}`}>
              Leave out
            </Button>
          </div>
        );
      })}
      {free.length > 0 && (
        <div className="col-span-2">
          <ChoiceField
            label="Ask for one more thing"
            value=""
            options={[
              { value: '' as Askable | '', text: 'choose' },
              ...free.map((what) => ({ value: what as Askable | '', text: askableWords[what].name })),
            ]}
            onValue={(what) => what && set(what, usual[what])}
          />
        </div>
      )}
    </>
  );
}

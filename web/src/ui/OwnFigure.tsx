import { type Coefficient, type OwnValue, type Property, plainNumber, readNumber } from '@hosket/core';
import { Popover } from 'radix-ui';
import { use, useId, useState } from 'react';
import { Button } from './Button.tsx';
import { SurroundingsContext } from './surroundings.ts';

/** Corrects one figure of a material: low, likely, high and a note; the shipped one stays beside it and may be taken again. */
export function OwnFigure({ figure }: { figure: Coefficient }) {
  const [open, setOpen] = useState(false);
  const { correct } = use(SurroundingsContext);
  const { of, source } = figure;
  if (!of || !correct) return null;
  const yours = source.kind === 'yours';
  const where = { material: of.material, property: of.property as Property };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        className="cursor-pointer whitespace-nowrap text-xs text-clay underline underline-offset-2"
        aria-label={`Correct ${figure.name}`}
      >
        {yours ? 'yours, change' : 'correct'}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          collisionPadding={12}
          className="z-50 w-[290px] rounded-md border border-line bg-sheet p-3 text-sm shadow-lg"
          aria-label={`Your own figure: ${figure.name}`}
        >
          <FigureForm
            figure={figure}
            onGive={(value) => {
              correct(where, value);
              setOpen(false);
            }}
          />
          {figure.shipped && (
            <p className="mt-2 text-xs text-muted">
              Shipped: {figure.shipped.low} / {figure.shipped.likely} / {figure.shipped.high} {figure.unit}{' '}
              <Button
                tone="quiet"
                onClick={() => {
                  correct(where, null);
                  setOpen(false);
                }}
              >
                Take it again
              </Button>
            </p>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

interface FormProps {
  figure: Coefficient;
  onGive: (value: Omit<OwnValue, 'material' | 'property'>) => void;
}

function FigureForm({ figure, onGive }: FormProps) {
  const [texts, setTexts] = useState({
    low: plainNumber(figure.low),
    likely: plainNumber(figure.likely),
    high: plainNumber(figure.high),
  });
  const [note, setNote] = useState(figure.source.kind === 'yours' ? figure.source.note : '');
  const [why, setWhy] = useState('');
  const id = useId();
  const give = () => {
    const [low, likely, high] = [texts.low, texts.likely, texts.high].map(readNumber);
    if (![low, likely, high].every((value) => Number.isFinite(value) && value >= 0))
      return setWhy('Write three numbers, none below 0.');
    if (low > likely || likely > high) return setWhy('Low, likely and high must rise.');
    if (likely === 0 && figure.likely > 0) return setWhy('The likely figure cannot be 0.');
    onGive({ low, likely, high, note: note.slice(0, 200) });
  };
  const field = (key: keyof typeof texts) => (
    <label className="text-xs text-muted">
      {key}
      <input
        inputMode="decimal"
        className="figure block w-full rounded-md border border-line bg-sheet px-2 py-0.5 text-right text-sm text-graphite"
        value={texts[key]}
        onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
      />
    </label>
  );
  return (
    <form
      aria-label={`Your own figure: ${figure.name}`}
      aria-describedby={why ? `${id}-why` : undefined}
      onSubmit={(event) => {
        event.preventDefault();
        give();
      }}
    >
      <p className="mb-1">
        {figure.name}, {figure.unit}
      </p>
      <div className="grid grid-cols-3 gap-2">
        {field('low')}
        {field('likely')}
        {field('high')}
      </div>
      <label className="mt-1 block text-xs text-muted">
        Where it comes from
        <input
          className="block w-full rounded-md border border-line bg-sheet px-2 py-0.5 text-sm text-graphite"
          value={note}
          maxLength={200}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      {why && (
        <p id={`${id}-why`} role="alert" className="mt-1 text-xs text-plum">
          {why}
        </p>
      )}
      <Button type="submit" tone="main" className="mt-2">
        Count with mine
      </Button>
    </form>
  );
}

import { type Amount, formatMeasure, plainNumber, resaid, sayAmount } from '@hosket/core';
import { Collapsible } from 'radix-ui';
import type { ReactNode } from 'react';
import { Word } from './help/Word.tsx';
import { OwnFigure } from './OwnFigure.tsx';
import { useUnits } from './surroundings.ts';

/** A number and its unit, the unit in lighter ink. Text that begins with a word is left as it is. */
export function Figure({ text }: { text: string }) {
  if (!/^[-\d]/.test(text)) return <span className="figure whitespace-nowrap">{text}</span>;
  return (
    <span className="figure whitespace-nowrap">
      {text.split(/([a-zA-Z°²³%/]+)/).map((part, k) =>
        k % 2 ? (
          <span key={k} className="text-muted">
            {part}
          </span>
        ) : (
          part
        ),
      )}
    </span>
  );
}

/** One line of a take-off: a name, perhaps a remark, and a figure at the right. */
export function Line({ name, remark, children }: { name: ReactNode; remark?: ReactNode; children: ReactNode }) {
  return (
    <div data-line className="flex items-baseline justify-between gap-3 border-b border-line py-1.5">
      <div className="min-w-0">
        <div>
          <Word>{name}</Word>
        </div>
        {remark && <div className="text-xs text-muted">{remark}</div>}
      </div>
      <div className="shrink-0 text-right">{children}</div>
    </div>
  );
}

/** An amount with its range, and its working behind "show working". */
export function AmountLine({ name, amount }: { name: string; amount: Amount }) {
  const units = useUnits();
  const said = sayAmount(amount, units);
  const { expression, inputs, coefficients } = amount.working;
  const yours = coefficients.some(({ source }) => source.kind === 'yours');
  return (
    <Collapsible.Root className="border-b border-line py-1">
      <div className="flex items-baseline justify-between gap-3">
        <span className="min-w-0">
          <Word>{name}</Word>{' '}
          <Collapsible.Trigger
            className="group cursor-pointer whitespace-nowrap text-xs text-muted underline decoration-line underline-offset-2 hover:text-graphite"
            aria-label={`Show working of ${name}`}
          >
            <span className="group-data-[state=open]:hidden">show working</span>
            <span className="hidden group-data-[state=open]:inline">show less</span>
          </Collapsible.Trigger>
        </span>
        <span className="shrink-0 text-right">
          {yours && <span className="mr-1 text-xs text-clay">yours</span>}
          <Figure text={said.likely} />
          {said.range && <span className="figure block text-xs text-muted">({said.range})</span>}
        </span>
      </div>
      <Collapsible.Content className="mt-1 rounded-md bg-plaster p-2 text-xs">
        <p className="mb-1">{expression}</p>
        <ul>
          {inputs.map((input) => (
            <li key={input.name} className="flex justify-between gap-2">
              <span>{input.name}</span>
              <Figure text={`${plainNumber(Number(input.value.toFixed(2)))} ${input.unit}`} />
            </li>
          ))}
          {coefficients.map((coefficient) => (
            <li key={coefficient.name} className="mt-1 border-t border-line pt-1">
              <span className="flex justify-between gap-2">
                <span>{coefficient.name}</span>
                <Figure text={`${plainNumber(coefficient.likely)} ${coefficient.unit}`} />
              </span>
              {coefficient.of && (
                <span className="float-right ml-2">
                  <OwnFigure figure={coefficient} />
                </span>
              )}
              <span className="text-muted">
                {plainNumber(coefficient.low)}–{plainNumber(coefficient.high)}; {coefficient.source.note} (
                <span className={coefficient.source.kind === 'yours' ? 'text-clay' : ''}>
                  {coefficient.source.kind}
                </span>
                , {coefficient.source.confidence})
                {coefficient.shipped && `; shipped ${plainNumber(coefficient.shipped.likely)}`}
              </span>
            </li>
          ))}
        </ul>
      </Collapsible.Content>
    </Collapsible.Root>
  );
}

/** Says measures in the builder's units. */
export function useSay() {
  const units = useUnits();
  return {
    mm: (value: number) => formatMeasure('length', value, units),
    area: (value: number) => formatMeasure('area', value, units, 0),
    volume: (value: number) => formatMeasure('volume', value, units),
    mass: (value: number) => formatMeasure('mass', value, units),
    /** A sentence of the plan in the builder's units. */
    words: (sentence: string) => resaid(sentence, units),
  };
}

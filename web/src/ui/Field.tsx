import { formatMeasure, type MeasureKind, parseMeasure, plainNumber, readNumber } from '@hosket/core';
import { type KeyboardEvent, useId, useState } from 'react';
import { useTold, Word } from './help/Word.tsx';
import { useUnits } from './surroundings.ts';

// Not react-hook-form: each field edits the open project by itself, with undo at once; there is no form that is sent.
/** What a field makes of its text: the value, or why not. */
export type Reading<T> = { ok: true; value: T } | { ok: false; why: string };

interface TextProps<T> {
  label: string;
  /** The value as text; shown again whenever it changes from outside. */
  text: string;
  /** The value behind the text, where the text also says what follows from it: only when this changes is what is being written given up. */
  of?: string;
  read: (text: string) => Reading<T>;
  onValue: (value: T) => void;
  /** One step up (1) or down (-1) by arrow key, ten with Shift. */
  onStep?: (steps: number) => void;
  hideLabel?: boolean;
  narrow?: boolean;
  lines?: number;
  inputMode?: 'text' | 'decimal' | 'numeric';
  type?: string;
}

/** One labelled field that takes what is written on Enter or on leaving, keeps a wrong text with the reason, and gives it up on Escape. */
export function ReadField<T>({
  label,
  text,
  of = text,
  read,
  onValue,
  onStep,
  hideLabel,
  narrow,
  lines,
  inputMode = 'text',
  type = 'text',
}: TextProps<T>) {
  const id = useId();
  const told = useTold(label);
  // What is being written belongs to the value it began from: a value changed from outside replaces it.
  const [draft, setDraft] = useState<{ of: string; written: string; why: string } | null>(null);
  const current = draft?.of === of ? draft : null;
  const write = (written: string) => setDraft({ of, written, why: '' });
  const take = () => {
    if (!current || current.written === text) return setDraft(null);
    const reading = read(current.written);
    if (!reading.ok) return setDraft({ ...current, why: reading.why });
    setDraft(null);
    onValue(reading.value);
  };
  const key = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && !lines) take();
    if (event.key === 'Escape' && current) {
      event.stopPropagation();
      setDraft(null);
    }
    if (onStep && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      onStep((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
    }
  };
  const why = current?.why ?? '';
  const shared = {
    id,
    value: current?.written ?? text,
    onBlur: take,
    onKeyDown: key,
    // While something is being written, undo belongs to the text and not to the project.
    'data-writing': current ? true : undefined,
    'aria-description': told,
    'aria-invalid': why ? true : undefined,
    'aria-describedby': why ? `${id}-why` : undefined,
    className: `w-full rounded-md border bg-sheet px-2 py-0.5 text-sm ${why ? 'border-plum' : 'border-line'} ${narrow ? 'figure text-right' : ''}`,
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-0.5 block text-xs text-muted'}>
        <Word>{label}</Word>
      </label>
      {lines ? (
        <textarea rows={lines} {...shared} onChange={(event) => write(event.target.value)} />
      ) : (
        <input
          type={type}
          inputMode={inputMode}
          autoComplete="off"
          {...shared}
          onChange={(event) => write(event.target.value)}
        />
      )}
      {why && (
        <p id={`${id}-why`} role="alert" className="mt-0.5 text-xs text-plum">
          {why}
        </p>
      )}
    </div>
  );
}

interface MeasureProps {
  label: string;
  kind?: MeasureKind;
  value: number;
  onValue: (value: number) => void;
  least?: number;
  most?: number;
  hideLabel?: boolean;
}

/** A measure in the builder's units; any known unit may be typed. Arrow keys step by 1 mm (or 1 degree). */
export function MeasureField({
  label,
  kind = 'length',
  value,
  onValue,
  least = 0,
  most = 10000,
  hideLabel,
}: MeasureProps) {
  const units = useUnits();
  const show = (measure: number) => formatMeasure(kind, measure, units, 2);
  return (
    <ReadField
      label={label}
      hideLabel={hideLabel}
      narrow
      text={show(value)}
      read={(text) => {
        const reading = parseMeasure(kind, text, units);
        if (!reading.ok) return { ok: false, why: `${reading.fault.message} ${reading.fault.remedy}` };
        if (reading.value < least || reading.value > most)
          return { ok: false, why: `Between ${show(least)} and ${show(most)}.` };
        return reading;
      }}
      onValue={onValue}
      onStep={(steps) => onValue(Math.min(most, Math.max(least, Math.round((value + steps) * 100) / 100)))}
    />
  );
}

interface OrNoneProps {
  label: string;
  value: number | null;
  /** What no value means: "as the land lies". */
  none: string;
  /** What it comes to meanwhile, where that is known. */
  now?: number | null;
  least: number;
  most: number;
  /** A plain number rather than a length. */
  plain?: boolean;
  onValue: (value: number | null) => void;
}

/** A measure that may be left open: an emptied field says what holds instead. */
export function MeasureOrNoneField({ label, value, none, now, least, most, plain, onValue }: OrNoneProps) {
  const units = useUnits();
  const show = (measure: number) => (plain ? plainNumber(measure) : formatMeasure('length', measure, units, 2));
  const open = now === null || now === undefined ? none : `${none}, ${show(Math.round(now * 10) / 10)}`;
  return (
    <ReadField<number | null>
      label={label}
      narrow={value !== null}
      text={value === null ? open : show(value)}
      of={String(value)}
      read={(text) => {
        if (!text.trim() || text.trim().startsWith(none)) return { ok: true, value: null };
        const number = plain ? readNumber(text) : Number.NaN;
        const reading = plain ? null : parseMeasure('length', text, units);
        if (reading && !reading.ok) return { ok: false, why: `${reading.fault.message} Or leave it empty: ${none}.` };
        const measure = reading?.ok ? reading.value : number;
        if (!Number.isFinite(measure)) return { ok: false, why: `Write a number, or leave it empty: ${none}.` };
        if (measure < least || measure > most) return { ok: false, why: `Between ${show(least)} and ${show(most)}.` };
        return { ok: true, value: measure };
      }}
      onValue={onValue}
      onStep={(steps) => {
        const from = value ?? now ?? 0;
        onValue(Math.min(most, Math.max(least, Math.round((from + steps) * 100) / 100)));
      }}
    />
  );
}

interface NumberProps {
  label: string;
  value: number;
  onValue: (value: number) => void;
  least: number;
  most: number;
  unit?: string;
  whole?: boolean;
  hideLabel?: boolean;
}

/** A plain number with its unit in words after it. */
export function NumberField({ label, value, onValue, least, most, unit = '', whole, hideLabel }: NumberProps) {
  return (
    <ReadField
      label={label}
      hideLabel={hideLabel}
      narrow
      inputMode={whole ? 'numeric' : 'decimal'}
      text={unit ? `${plainNumber(value)} ${unit}` : plainNumber(value)}
      read={(text) => {
        const number = readNumber(text.replace(unit, ''));
        if (!Number.isFinite(number)) return { ok: false, why: 'Write a number.' };
        if (whole && !Number.isInteger(number)) return { ok: false, why: 'Write a whole number.' };
        if (number < least || number > most)
          return { ok: false, why: `Between ${plainNumber(least)} and ${plainNumber(most)}.` };
        return { ok: true, value: number };
      }}
      onValue={onValue}
      onStep={(steps) => onValue(Math.min(most, Math.max(least, Math.round((value + steps) * 1000) / 1000)))}
    />
  );
}

interface NumberOrNoneProps {
  label: string;
  unit: string;
  value: number | null;
  least: number;
  most: number;
  /** What no number means. */
  none?: string;
  onValue: (value: number | null) => void;
}

/** A number that may be left open. */
export function NumberOrNoneField({ label, unit, value, least, most, none = 'no limit', onValue }: NumberOrNoneProps) {
  return (
    <ReadField<number | null>
      label={label}
      narrow
      inputMode="decimal"
      text={value === null ? none : `${plainNumber(value)} ${unit}`}
      read={(text) => {
        const clean = text.replace(unit, '').trim();
        if (!clean || clean === none) return { ok: true, value: null };
        const number = readNumber(clean);
        if (!Number.isFinite(number)) return { ok: false, why: 'Write a number, or leave it empty.' };
        if (number < least || number > most)
          return { ok: false, why: `Between ${plainNumber(least)} and ${plainNumber(most)}.` };
        return { ok: true, value: number };
      }}
      onValue={onValue}
    />
  );
}

interface WordsProps {
  label: string;
  value: string;
  onValue: (value: string) => void;
  most?: number;
  required?: boolean;
  lines?: number;
  hideLabel?: boolean;
}

export function WordsField({ label, value, onValue, most = 120, required, lines, hideLabel }: WordsProps) {
  return (
    <ReadField
      label={label}
      hideLabel={hideLabel}
      lines={lines}
      text={value}
      read={(text) => {
        if (required && !text.trim()) return { ok: false, why: 'Write a name.' };
        if (text.length > most) return { ok: false, why: `At most ${most} characters.` };
        return { ok: true, value: lines ? text : text.trim() };
      }}
      onValue={onValue}
    />
  );
}

interface ChoiceProps<T extends string> {
  label: string;
  value: T;
  options: readonly (T | { value: T; text: string })[];
  onValue: (value: T) => void;
  hideLabel?: boolean;
}

export function ChoiceField<T extends string>({ label, value, options, onValue, hideLabel }: ChoiceProps<T>) {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-0.5 block text-xs text-muted'}>
        <Word>{label}</Word>
      </label>
      <select
        id={id}
        value={value}
        aria-description={useTold(label)}
        onChange={(event) => onValue(event.target.value as T)}
        className="w-full rounded-md border border-line bg-sheet px-1.5 py-[3px] text-sm"
      >
        {options.map((option) => {
          const { value: key, text } = typeof option === 'string' ? { value: option, text: option } : option;
          return (
            <option key={key} value={key}>
              {text}
            </option>
          );
        })}
      </select>
    </div>
  );
}

interface TickProps {
  label: string;
  value: boolean;
  onValue: (value: boolean) => void;
}

export function TickField({ label, value, onValue }: TickProps) {
  return (
    <label className="flex min-h-6 items-center gap-2 text-sm">
      <input
        type="checkbox"
        className="size-4 accent-clay"
        checked={value}
        onChange={(event) => onValue(event.target.checked)}
        aria-description={useTold(label)}
      />
      <span>
        <Word>{label}</Word>
      </span>
    </label>
  );
}

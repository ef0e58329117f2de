import { formatMeasure, type PackUnit, parseMeasure, readNumber } from '@hosket/core';
import { ReadField } from './Field.tsx';
import { useUnits } from './surroundings.ts';

const kinds = { ml: 'volume', g: 'mass', mm: 'length' } as const;

interface Props {
  label: string;
  unit: PackUnit;
  value: number | null;
  /** What no value means; without it a value must be given. */
  none?: string;
  onValue: (value: number | null) => void;
}

/** An amount as it is stored or sold: by volume, weight, length or piece; any unit of its kind may be typed. */
export function QuantityField({ label, unit, value, none, onValue }: Props) {
  const units = useUnits();
  const text =
    value === null ? (none ?? '') : unit === 'each' ? String(value) : formatMeasure(kinds[unit], value, units, 2);
  return (
    <ReadField<number | null>
      label={label}
      hideLabel
      narrow
      inputMode="decimal"
      text={text}
      read={(written) => {
        if (none !== undefined && (!written.trim() || written.trim() === none)) return { ok: true, value: null };
        if (unit === 'each') {
          const count = readNumber(written);
          return Number.isFinite(count) && count >= 0 && count <= 1e6
            ? { ok: true, value: count }
            : { ok: false, why: 'Write how many there are.' };
        }
        const reading = parseMeasure(kinds[unit], written, units);
        if (!reading.ok) return { ok: false, why: `${reading.fault.message} ${reading.fault.remedy}` };
        return reading.value >= 0 && reading.value <= 1e6
          ? reading
          : { ok: false, why: 'Between 0 and 1,000 kg or L.' };
      }}
      onValue={onValue}
    />
  );
}

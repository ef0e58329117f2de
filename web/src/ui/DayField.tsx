import { ReadField } from './Field.tsx';

interface Props {
  label: string;
  value: string | null;
  hideLabel?: boolean;
  onValue: (value: string | null) => void;
}

const isDay = (text: string): boolean => /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(Date.parse(text));

/** A day, or none; browsers offer a calendar for it. */
export const DayField = ({ label, value, hideLabel, onValue }: Props) => (
  <ReadField<string | null>
    label={label}
    hideLabel={hideLabel}
    type="date"
    text={value ?? ''}
    read={(text) => {
      if (!text.trim()) return { ok: true, value: null };
      return isDay(text) ? { ok: true, value: text } : { ok: false, why: 'Write the date like 2027-03-15.' };
    }}
    onValue={onValue}
  />
);

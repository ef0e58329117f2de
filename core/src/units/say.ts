import type { Amount, Range } from './amount.ts';
import { localeNow, withSign } from './locale.ts';
import { formatMeasure, type UnitSystem } from './measures.ts';

const round = (value: number, digits = 0) => withSign(value.toFixed(digits).replace(/\.0+$/, ''));

/** Minutes as people say them: "25 min", "1 h 40 min". */
export function sayMinutes(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  return whole % 60 ? `${Math.floor(whole / 60)} h ${whole % 60} min` : `${whole / 60} h`;
}

/** Hours as people say them: "40 min", "31 h", "4 d 18 h". */
export function sayHours(hours: number): string {
  if (hours < 1) return `${Math.round(hours * 60)} min`;
  if (hours < 10) return `${round(hours, 1)} h`;
  const whole = Math.round(hours);
  if (whole < 72) return `${whole} h`;
  return whole % 24 ? `${Math.floor(whole / 24)} d ${whole % 24} h` : `${whole / 24} d`;
}

/** Parts of "2027-03-11" or "2027-03-11T19:30" as the builder writes days. */
export const sayDate = (wallClock: string, options: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat(localeNow(), { ...options, timeZone: 'UTC' }).format(
    new Date(`${wallClock.slice(0, 10)}T00:00Z`),
  );

/** "2027-03-11" or "2027-03-11T19:30" as "Thu 11 Mar". */
export function sayDay(wallClock: string): string {
  const one = (options: Intl.DateTimeFormatOptions) => sayDate(wallClock, options);
  // Programs that draw from other tables of the same language put a comma here, or none.
  return localeNow() === 'en-GB'
    ? `${one({ weekday: 'short' })} ${one({ day: 'numeric' })} ${one({ month: 'short' })}`
    : one({ weekday: 'short', day: 'numeric', month: 'short' });
}

/** "2027-03-11T19:30" as "Thu 11 Mar 19:30". */
export function sayClock(wallClock: string): string {
  const time = new Intl.DateTimeFormat(localeNow(), { hour: '2-digit', minute: '2-digit', timeZone: 'UTC' });
  return `${sayDay(wallClock)} ${time.format(new Date(`${wallClock}:00Z`))}`;
}

function sayOne(value: number, unit: Amount['unit'], system: UnitSystem): string {
  if (unit === 'mm') return formatMeasure('length', value, system);
  if (unit === 'mm2') return formatMeasure('area', value, system, 0);
  if (unit === 'ml') return formatMeasure('volume', value, system);
  if (unit === 'g') return formatMeasure('mass', value, system);
  if (unit === 'min') return sayMinutes(value);
  if (unit === 'h') return sayHours(value);
  return round(value, unit === 'money' ? 2 : 0);
}

/** The likely value, and the range when it has one: ["674 ml", "608-796"]. Units are written once. */
export function sayAmount(
  { low, likely, high, unit }: Range & { unit: Amount['unit'] },
  system: UnitSystem = 'metric',
): { likely: string; range: string } {
  const said = sayOne(likely, unit, system);
  if (Math.abs(high - low) < 1e-9) return { likely: said, range: '' };
  const [a, b] = [sayOne(low, unit, system), sayOne(high, unit, system)];
  const tail = (text: string) => text.replace(/^[-\d.,/ ]+/, '');
  return {
    likely: said,
    range:
      tail(a) === tail(b) && tail(a)
        ? `${a.slice(0, a.length - tail(a).length).trim()}–${b.replace(tail(b), '').trim()}`
        : `${a}–${b}`,
  };
}

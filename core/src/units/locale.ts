/**
 * How numbers and dates are written: after the builder's own habit, told once at the start of each program and of each of its workers. No figure depends
 * on it, only its text: 12.5 mm or 12,5 mm, 11 Mar or 11. März. What is written into files for other programs keeps the point.
 */
let locale = 'en-GB';
let decimalSign = '.';

/** Takes a BCP 47 tag, as the browser gives it; one that is not known changes nothing. */
export function speakLocale(tag: string): void {
  try {
    const part = new Intl.NumberFormat(tag).formatToParts(0.5).find(({ type }) => type === 'decimal');
    locale = tag;
    // A language whose digits are others is still written in these: fields read no others.
    decimalSign = part && /^[.,]$/.test(part.value) ? part.value : '.';
  } catch {
    // Not a language.
  }
}

export const localeNow = (): string => locale;

/** The text of a number with its decimal point as the builder writes it. */
export const withSign = (text: string): string => (decimalSign === '.' ? text : text.replace('.', decimalSign));

/** A number with so many digits behind the sign. */
export const decimals = (value: number, digits: number): string => withSign(value.toFixed(digits));

/** A number as short as it is. */
export const plainNumber = (value: number): string => withSign(String(value));

/** What is written while this runs has the decimal point: texts by which something is known again. */
export function neutrally<T>(run: () => T): T {
  const before = decimalSign;
  decimalSign = '.';
  try {
    return run();
  } finally {
    decimalSign = before;
  }
}

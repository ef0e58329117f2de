/** Text as other formats can hold it. */

/** Control characters, halves of pairs, and signs that are none: XML 1.0 (5th ed., 2.2 Char) forbids them, DXF and PDF trip over them. */
const UNPRINTABLE = /[\p{Cc}\p{Cs}\u2028\u2029\uFFFE\uFFFF]+/gu;

/** A name as it may be written anywhere: what cannot be printed becomes one blank. */
export const printable = (text: string): string => text.replace(UNPRINTABLE, ' ');

const signs: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** The same between tags of XML, or in its attributes. */
export const xmlText = (text: string): string => printable(text).replace(/[&<>"]/g, (sign) => signs[sign]);

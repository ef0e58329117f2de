/** Tables as CSV: quoted where it must be, and so that no spreadsheet takes a name for a formula. */
import Papa from 'papaparse';

/** What a spreadsheet would run: text that begins like a formula. A number below nothing is none. */
const FORMULA = /^(?:[=+@\t\r]|-(?![\d.,]+$))/;

/** Comma, or semicolons for those who write a decimal comma. A cell that begins like a formula gets a ' before it. */
export const csvText = (
  fields: readonly string[],
  data: readonly (readonly unknown[])[],
  semicolons: boolean,
): string =>
  `${Papa.unparse(
    { fields: [...fields], data: data.map((row) => [...row]) },
    { delimiter: semicolons ? ';' : ',', newline: '\r\n', escapeFormulae: FORMULA },
  )}\r\n`;

/** A cell as it was before that: the ' is taken off again. */
export const csvCell = (text: string): string =>
  text.startsWith("'") && FORMULA.test(text.slice(1)) ? text.slice(1) : text;

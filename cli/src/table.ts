export const rule = (title: string) => `\n${title}\n${'-'.repeat(title.length)}\n`;

/** Columns padded to their widest entry; the last is left ragged. */
export function table(rows: readonly (readonly string[])[]): string {
  const widths = rows[0]?.map((_, k) => Math.max(...rows.map((row) => row[k].length))) ?? [];
  return rows
    .map((row) => `  ${row.map((cell, k) => (k === row.length - 1 ? cell : cell.padEnd(widths[k]))).join('  ')}\n`)
    .join('');
}

/** Asks the builder for one file; null when none was chosen. */
export function pickFile(accept: string): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.oncancel = () => resolve(null);
    input.onchange = () => resolve(input.files?.[0] ?? null);
    input.click();
  });
}

/** A name as a file may have it: letters and figures, joined by hyphens. */
export const fileName = (name: string, otherwise: string): string =>
  name
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-|-$/g, '') || otherwise;

/** Hands something to the browser as a file to keep. */
export function saveFile(content: string, name: string, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

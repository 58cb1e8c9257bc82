import { LARGEST_FILE_BYTES, type MethodSet } from '#core/methods/method-set-format.ts';

const AS_TEXT = 2;

/** Hands a set to the browser as a file named after whose way it is. */
export function saveSetFile(set: object, name: string): void {
  const url = URL.createObjectURL(new Blob([JSON.stringify(set, null, AS_TEXT)], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `${
    name
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-')
      .replaceAll(/^-|-$/g, '') || 'way'
  }.json`;
  link.click();
  URL.revokeObjectURL(url);
}

/**
 * The content of a chosen file, read as JSON. What is in it is for the server to check.
 *
 * @throws Error in words for the player, when it is too large or no JSON
 */
export async function readSetFile(file: File): Promise<MethodSet> {
  if (file.size > LARGEST_FILE_BYTES)
    throw new Error(`${file.name} is larger than a set of choices can be. Nothing was changed.`);
  try {
    const content: MethodSet = JSON.parse(await file.text());
    return content;
  } catch {
    throw new Error(`${file.name} is no JSON file. Nothing was changed.`);
  }
}

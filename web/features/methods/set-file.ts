import { LARGEST_FILE_BYTES, type MethodSet } from '#core/methods/method-set-format.ts';
import { fileName, saveFile } from '#web/ui/save-file.ts';

const AS_TEXT = 2;

/** Hands a set to the browser as a file named after whose way it is. */
export const saveSetFile = (set: object, name: string): void =>
  saveFile(JSON.stringify(set, null, AS_TEXT), `${fileName(name, 'way')}.json`, 'application/json');

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

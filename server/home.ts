import { existsSync } from 'node:fs';
import path from 'node:path';

/** The nearest folder above that holds the file. @throws Error where there is none */
function nearestWith(file: string, folder: string): string {
  if (existsSync(path.join(folder, file))) return folder;
  const above = path.dirname(folder);
  if (above === folder) throw new Error(`no ${file} above ${import.meta.dirname}`);
  return nearestWith(file, above);
}

/** The folder Ulu lies in, whether the program runs from its sources or as it was built. */
export const HOME = nearestWith('package.json', import.meta.dirname);

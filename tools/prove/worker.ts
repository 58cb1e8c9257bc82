/** One process of `npm run prove`: told a part, it says what it found, until it is told no more. */
import { provePart, type Part } from '#tools/prove/part.ts';

process.on('message', ({ part, every }: { readonly part: Part; readonly every: number }) => {
  process.send?.(provePart(part, every));
});

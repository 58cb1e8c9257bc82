import { listed } from '#core/explain/format.ts';
import type { Stretch } from '#core/packup/stretches.ts';
import type { ShownStep } from '#contract/shown-run.ts';

/** What a stretch is called: the parts it is about; among several instruments, whose they are. */
export function stretchTitle({ steps, instrumentId, parts }: Stretch<ShownStep>, several: boolean): string {
  if (instrumentId === null) return 'First, what cannot wait';
  const names = parts.map((part) => steps.find((step) => step.part === part)?.partName.toLowerCase() ?? part);
  const title = listed(names);
  const capital = title.charAt(0).toUpperCase() + title.slice(1);
  return several ? `${steps[0]?.instrumentName ?? ''}: ${title}` : capital;
}

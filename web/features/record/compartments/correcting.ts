import type { CorrectableKind, DeclaredAs } from '#contract/facts.ts';
import type { Said } from '#contract/fact.ts';

/** What a form is handed that puts an entry right: under which key it stands, and what was said. */
export type CorrectingProps<Kind extends CorrectableKind> = {
  readonly entryKey: string;
  readonly said: Said<DeclaredAs<Kind>>;
  readonly onClose: () => void;
};

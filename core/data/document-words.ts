import { counted } from '#core/explain/format.ts';
import type { NoDocumentCode } from '#core/data/split-document.ts';

/** Why a fact of a document is not taken in. */
export type FactRefusal =
  | { readonly code: 'not-a-fact'; readonly what: string }
  | { readonly code: 'unknown-kind'; readonly kind: string }
  | { readonly code: 'other-content'; readonly key: string; readonly fields: readonly string[] }
  | { readonly code: 'refers-to-nothing'; readonly key: string }
  | { readonly code: 'not-kept-so'; readonly key: string };

const NOT_A_DOCUMENT: Readonly<Record<NoDocumentCode, string>> = {
  'not-json': 'The file is no whole JSON document: it is cut off, or something in it is written wrongly.',
  'not-unpacked': 'The file cannot be unpacked: it is cut off or damaged.',
  'not-utf8': 'The file is not written in UTF-8, as JSON is.',
  'too-deep': 'The file is nested deeper than any record.',
  'element-too-large': 'Something in the file is larger than anything a record holds.',
};
/** Why a file is no document. */
export const noDocumentWords = (code: NoDocumentCode): string => NOT_A_DOCUMENT[code];

/** Why one fact is not taken in. */
export function factRefusalWords(refusal: FactRefusal): string {
  switch (refusal.code) {
    case 'not-a-fact':
      return `It is not written as a fact is: ${refusal.what}.`;
    case 'unknown-kind':
      return `This version of Ulu knows no “${refusal.kind}”. Take the file in with the version that wrote it.`;
    case 'other-content':
      return `Your record says something else under the key ${refusal.key}: ${refusal.fields.join(', ')}.`;
    case 'refers-to-nothing':
      return `${refusal.key} speaks of an instrument, a player or an entry that is neither in your record nor before it in the file.`;
    case 'not-kept-so':
      return `${refusal.key} says what a record cannot hold.`;
  }
}

/** What follows a list of problems that is longer than anybody reads. */
export const moreRefusedWords = (more: number): string => `And ${counted(more, 'more problem')}.`;

/** A fact of a document says one thing of itself and another in its body. */
export const contradictsItselfWords = (fact: string): string =>
  `In the file a fact contradicts itself: ${fact}. Nothing can be counted from it.`;

/** An instrument of a document would be one that no page can show. */
export const unreadableWords = (instrument: string, why: string): string =>
  `What the file says of ${instrument} cannot be read by this version (${why}).`;

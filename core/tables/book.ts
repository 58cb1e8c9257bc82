import type { Book } from '#core/book/book.ts';
import { AGENTS } from '#core/tables/agents/agents.ts';
import { SURFACES, SURFACES_OF } from '#core/tables/agents/surfaces.ts';
import { MEASURES } from '#core/tables/bench/measures.ts';
import { PACKING } from '#core/tables/bench/packing.ts';
import { BENCH_WORKS } from '#core/tables/bench/works.ts';
import { BREAKS } from '#core/tables/breaks/breaks.ts';
import { PAGES_OF } from '#core/tables/care/pages.ts';
import { CONDITIONS } from '#core/tables/conditions/conditions.ts';
import { ANATOMY } from '#core/tables/handling/anatomy.ts';
import { FAULTS } from '#core/tables/faults/faults.ts';
import { EXCEPTIONS } from '#core/tables/handling/exceptions.ts';
import { KINDS } from '#core/tables/instruments/kinds.ts';
import { LEXICON } from '#core/tables/lexicon/lexicon.ts';
import { METHODS } from '#core/tables/methods/methods.ts';

/** The practice book this program ships with: the one door to the tables. */
export const BOOK: Book = {
  kinds: KINDS,
  pagesOf: PAGES_OF,
  methods: METHODS,
  conditions: CONDITIONS,
  agents: AGENTS,
  anatomy: ANATOMY,
  exceptions: EXCEPTIONS,
  surfaces: SURFACES,
  surfacesOf: SURFACES_OF,
  faults: FAULTS,
  measures: MEASURES,
  benchWorks: BENCH_WORKS,
  packing: PACKING,
  breaks: BREAKS,
  lexicon: LEXICON,
};

import type { Agent } from '#core/book/agent.ts';
import { GREASE_AND_OIL } from '#core/tables/agents/grease-and-oil.ts';
import { POLISH_AND_CLOTH } from '#core/tables/agents/polish-and-cloth.ts';
import { TOOLS } from '#core/tables/agents/tools.ts';
import { WATER_AND_CLEANERS } from '#core/tables/agents/water-and-cleaners.ts';

/** Which liquid, grease, cloth or tool may touch what. What is not listed is not known: ask the maker or the bench. */
export const AGENTS: readonly Agent[] = [...GREASE_AND_OIL, ...WATER_AND_CLEANERS, ...POLISH_AND_CLOTH, ...TOOLS];

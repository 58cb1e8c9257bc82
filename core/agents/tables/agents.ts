import type { Agent } from '#core/agents/agent.ts';
import { GREASE_AND_OIL } from '#core/agents/tables/grease-and-oil.ts';
import { POLISH_AND_CLOTH } from '#core/agents/tables/polish-and-cloth.ts';
import { TOOLS } from '#core/agents/tables/tools.ts';
import { WATER_AND_CLEANERS } from '#core/agents/tables/water-and-cleaners.ts';

/** Which liquid, grease, cloth or tool may touch what. What is not listed is not known: ask the maker or the bench. */
export const AGENTS: readonly Agent[] = [...GREASE_AND_OIL, ...WATER_AND_CLEANERS, ...POLISH_AND_CLOTH, ...TOOLS];

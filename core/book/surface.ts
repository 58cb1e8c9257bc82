import type { Material, SurfaceId } from '#core/book/agent.ts';
import type { BuildCondition, BuildField } from '#core/instruments/build.ts';

/** What a surface is called and made of. */
export type Surface = {
  readonly name: string;
  /** Fixed, or as the build says; `otherwise` where the kind does not ask, because it comes in one material only. */
  readonly material: Material | { readonly field: BuildField; readonly otherwise?: Material };
};

/** A surface as a kind has it: always, or only when it is built so; under another name or of another material there. */
export type SurfaceUse = SurfaceId | ({ readonly id: SurfaceId; readonly when?: BuildCondition } & Partial<Surface>);

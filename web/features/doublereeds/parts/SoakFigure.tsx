import { CANE, INK, PAPER, WATER } from '#web/features/doublereeds/parts/ReedFigure.tsx';

/** A reed in its cup: the blades rise darker from the water up, as far as it is soaked. */
export function SoakFigure({ share }: { readonly share: number }) {
  const wet = 92 * Math.min(1, Math.max(0, share));
  return (
    <svg
      viewBox="0 0 160 190"
      width="100%"
      height={190}
      role="img"
      aria-label="A reed standing tip down in a cup of water"
    >
      <path d="M22 62h116l-10 118h-96z" fill={PAPER} stroke={INK} strokeWidth={3} strokeLinejoin="round" />
      <path d="M25 92h110l-8 86h-94z" fill={WATER} opacity={0.35} />
      <path d="M72 8h16l3 42h-22z" fill={PAPER} stroke={INK} strokeWidth={2} />
      <path d="M69 50h22l-1 30h-20z" fill={INK} opacity={0.75} />
      <path d="M70 80h20l10 92h-40z" fill={CANE} stroke={INK} strokeWidth={2.5} strokeLinejoin="round" />
      <clipPath id="soaked">
        <rect x={40} y={172 - wet} width={80} height={wet} />
      </clipPath>
      <path d="M70 80h20l10 92h-40z" fill={WATER} opacity={0.45} clipPath="url(#soaked)" />
    </svg>
  );
}

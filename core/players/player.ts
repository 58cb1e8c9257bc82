/** How a player stands: decides, with what they have said they do themselves, who a step is for. */
export const STANDINGS = ['grown-up', 'pupil', 'child'] as const;
export type Standing = (typeof STANDINGS)[number];

/** Work a player may say they do themselves. Everything else in the book is for any player. */
export const SKILLS = ['key-oil', 'bore-oil', 'screws', 'solvents', 'blades'] as const;
export type Skill = (typeof SKILLS)[number];

/** Who a piece of work is for. */
export const HANDS = ['player', 'with-a-grown-up', 'with-the-teacher', 'bench'] as const;
export type Hands = (typeof HANDS)[number];

export type PlayerAbilities = { readonly standing: Standing; readonly does: readonly Skill[] };

/**
 * Who does work that asks for `skill`.
 *
 * A grown-up does what they have said they do; what they have not goes to the bench. A child does it only with a
 * grown-up and a pupil with the teacher present, whatever they have said (practice book: "Children do key oil, bore
 * oil, solvents and knives only with a grown-up"; first key oil and first bore oil: teacher present).
 */
export function handsFor(skill: Skill | undefined, player: PlayerAbilities): Hands {
  if (skill === undefined) return 'player';
  if (player.standing === 'child') return 'with-a-grown-up';
  if (player.standing === 'pupil') return 'with-the-teacher';
  return player.does.includes(skill) ? 'player' : 'bench';
}

/** Who does a step: as its item asks; solvents in a single step only keep children and pupils from doing it alone. */
export const handsForStep = (step: Skill | undefined, item: Skill | undefined, player: PlayerAbilities): Hands => {
  const hands = handsFor(item, player);
  return hands === 'player' && player.standing !== 'grown-up' ? handsFor(step, player) : hands;
};

/** Beginners take about twice the practised time (practice book, `beginner-pace`, an estimate). */
export const paceOf = (standing: Standing): number => (standing === 'grown-up' ? 1 : 2);

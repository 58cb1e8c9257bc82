/**
 * Diagnosis the long way, for tests: a network of tables, every world of it written down, and sets of causes one by one.
 * It shares no function with what it tests.
 */

/** A thing that is so or not, and its chance for each state of what it hangs on. */
export type Variable = {
  readonly name: string;
  readonly given: readonly string[];
  readonly yes: (given: boolean[]) => number;
};
export type World = Readonly<Record<string, boolean>>;

/** P(evidence) and P(asked | evidence) by writing down every world. */
export function byEveryWorld(
  variables: readonly Variable[],
  evidence: World,
  asked: World,
): { readonly ofEvidence: number; readonly chance: number } {
  let ofEvidence = 0;
  let ofBoth = 0;
  const holds = (world: Record<string, boolean>, what: World) =>
    Object.entries(what).every(([name, value]) => world[name] === value);
  for (let code = 0; code < 2 ** variables.length; code++) {
    const world = Object.fromEntries(variables.map(({ name }, bit) => [name, (code >> bit) % 2 === 1]));
    if (!holds(world, evidence)) continue;
    let chance = 1;
    for (const { name, given, yes } of variables) {
      const p = yes(given.map((one) => world[one] ?? false));
      chance *= world[name] ? p : 1 - p;
    }
    ofEvidence += chance;
    if (holds(world, asked)) ofBoth += chance;
  }
  return { ofEvidence, chance: ofBoth / ofEvidence };
}

export type PlainNet = {
  readonly priors: readonly number[];
  readonly signs: readonly { readonly leak: number; readonly misses: readonly number[] }[];
  readonly wrong: number;
};
export type PlainAnswer = { readonly sign: number; readonly yes: boolean };

/** Every set of `least` to `most` causes with its chance after the answers; `most` may be all of them. */
export function setsOfCauses(
  { priors, signs, wrong }: PlainNet,
  answers: readonly PlainAnswer[],
  [least, most]: readonly [number, number],
): { readonly set: readonly number[]; readonly chance: number; readonly yes: readonly number[] }[] {
  const sets = Array.from({ length: 2 ** priors.length }, (_, code) =>
    priors.flatMap((_p, cause) => (Math.floor(code / 2 ** cause) % 2 === 1 ? [cause] : [])),
  ).filter((set) => set.length >= least && set.length <= most);
  const weighed = sets.map((set) => {
    const yes = signs.map(({ leak, misses }) => {
      let absent = 1 - leak;
      for (const cause of set) absent = absent * (misses[cause] as number);
      const there = 1 - absent;
      return there * (1 - wrong) + (1 - there) * wrong;
    });
    let weight = 1;
    priors.forEach((prior, cause) => (weight *= set.includes(cause) ? prior : 1 - prior));
    for (const answer of answers)
      weight *= answer.yes ? (yes[answer.sign] as number) : 1 - (yes[answer.sign] as number);
    return { set, weight, yes };
  });
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return weighed.map(({ set, weight, yes }) => ({ set, chance: weight / total, yes }));
}

type Sets = readonly { readonly chance: number; readonly yes: readonly number[] }[];

/** Bits an answer is expected to tell, as entropy before less the mean entropy after, set by set. */
export function gainSetBySet(sets: Sets, sign: number): number {
  return gainOfAnswers(sets, ({ yes }) => [yes[sign] as number, 1 - (yes[sign] as number)]);
}

/**
 * The same for naming one of several things that are seen, or none: every way they can be there written down, and of
 * those that are there each is named as often as another.
 */
export function gainOfNamingSetBySet(sets: Sets, signs: readonly number[]): number {
  return gainOfAnswers(sets, ({ yes }) => {
    const answers = [...signs.map(() => 0), 0];
    for (let code = 0; code < 2 ** signs.length; code++) {
      const there = signs.flatMap((_, index) => (Math.floor(code / 2 ** index) % 2 === 1 ? [index] : []));
      let chance = 1;
      signs.forEach((sign, index) => {
        const p = yes[sign] as number;
        chance *= there.includes(index) ? p : 1 - p;
      });
      for (const index of there) answers[index] = (answers[index] as number) + chance / there.length;
      if (there.length === 0) answers[signs.length] = (answers[signs.length] as number) + chance;
    }
    return answers;
  });
}

function gainOfAnswers(sets: Sets, answersIn: (set: Sets[number]) => readonly number[]): number {
  const entropy = (chances: number[]) => {
    let bits = 0;
    for (const p of chances) if (p > 0) bits -= p * Math.log2(p);
    return bits;
  };
  const answers = sets.map(answersIn);
  const before = entropy(sets.map(({ chance }) => chance));
  let after = 0;
  for (let answer = 0; answer < (answers[0]?.length ?? 0); answer++) {
    const joint = sets.map(({ chance }, index) => chance * (answers[index]?.[answer] as number));
    const ofAnswer = joint.reduce((sum, p) => sum + p, 0);
    if (ofAnswer > 0) after += ofAnswer * entropy(joint.map((p) => p / ofAnswer));
  }
  return before - after;
}

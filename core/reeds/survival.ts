/**
 * One life as far as it was watched, in any one unit. `entered`: the age at which watching began (0: from new); `ended`:
 * it ended then, else it was still alive when it was last seen.
 */
export type Lifetime = { readonly entered: number; readonly left: number; readonly ended: boolean };

/** @throws RangeError for a life that is left before it was entered, ends at once, or has an age that is none */
export function checkLives(lives: readonly Lifetime[]): void {
  for (const { entered, left, ended } of lives)
    if (!(entered >= 0 && left >= entered && left < Infinity && (left > 0 || !ended)))
      throw new RangeError('a life is entered from 0 on and left after that');
}

/** The share that outlives an age, from there on until the next step. */
export type SurvivalStep = {
  readonly at: number;
  readonly atRisk: number;
  readonly ended: number;
  readonly survival: number;
  /** Greenwood's standard error; 0 where nobody is left. */
  readonly se: number;
};

/** The ages at which any left, in order: how many did, and how many of them because they ended. */
function leaving(lives: readonly Lifetime[]): { at: number; left: number; ended: number }[] {
  const ages = new Map<number, { at: number; left: number; ended: number }>();
  for (const { left: at, ended } of lives) {
    const age = ages.get(at) ?? { at, left: 0, ended: 0 };
    ages.set(at, { at, left: age.left + 1, ended: age.ended + (ended ? 1 : 0) });
  }
  return [...ages.values()].sort((a, b) => a.at - b.at);
}

/**
 * The Kaplan–Meier curve with late entry: S(t) = Π (1 − dᵢ/nᵢ) over the ages at which lives ended, where at risk is who
 * had entered before and had not left before; one that was last seen at that very age is still at risk. Standard error
 * by Greenwood: S·√Σ dᵢ/(nᵢ(nᵢ − dᵢ)). Empty where nothing has ended. O(n log n).
 *
 * @throws RangeError as {@link checkLives} does
 *
 * Kaplan and Meier 1958 (JASA 53:457–481); Greenwood 1926; late entry as in Klein and Moeschberger, Survival Analysis.
 */
export function kaplanMeier(lives: readonly Lifetime[]): SurvivalStep[] {
  checkLives(lives);
  const byEntry = lives.map(({ entered }) => entered).toSorted((a, b) => a - b);
  const steps: SurvivalStep[] = [];
  let [survival, greenwood, gone, come] = [1, 0, 0, 0];
  for (const { at, left, ended } of leaving(lives)) {
    while ((byEntry[come] ?? Infinity) < at) come++;
    const atRisk = come - gone;
    gone += left;
    if (ended === 0 || atRisk <= 0) continue;
    survival *= 1 - ended / atRisk;
    greenwood += atRisk > ended ? ended / (atRisk * (atRisk - ended)) : 0;
    steps.push({ at, atRisk, ended, survival, se: survival * Math.sqrt(greenwood) });
  }
  return steps;
}

/** With fewer at risk one early end would pull the whole curve down (estimate). */
const FEWEST_AT_RISK = 3;

/** The curve as far as it says something of lives as a whole. */
export type DrawnCurve = {
  readonly steps: readonly SurvivalStep[];
  /** Where it stops because too few were watched at that age, while others came later; null where it goes to its end. */
  readonly stopsAt: Pick<SurvivalStep, 'at' | 'atRisk'> | null;
};

/**
 * The Kaplan–Meier curve up to the first step at which too few were at risk, or all of them ended, and others entered only later: their lives
 * would be multiplied by what befell one or two before them. Late entry makes early risk sets small (Klein and
 * Moeschberger, Survival Analysis, 4.6); the end of a curve that everybody entered in time is drawn as it is.
 */
export function drawnCurve(lives: readonly Lifetime[]): DrawnCurve {
  const steps = kaplanMeier(lives);
  const lastEntry = lives.reduce((latest, { entered }) => Math.max(latest, entered), 0);
  const few = steps.findIndex(
    ({ at, atRisk, ended }) => (atRisk < FEWEST_AT_RISK || ended === atRisk) && lastEntry >= at,
  );
  return few === -1 ? { steps, stopsAt: null } : { steps: steps.slice(0, few), stopsAt: steps[few] ?? null };
}

/** 95 % of a normal distribution lies below this many standard errors: two-sided, a band of 90 %. */
const Z_90 = 1.6448536269514722;

/**
 * The 90 % band of a step on the log(−log) scale, which stays between 0 and 1 (Kalbfleisch and Prentice 1980). The whole
 * of 0 to 1 where nothing can be said.
 */
export function bandOf({ survival, se }: SurvivalStep): readonly [low: number, high: number] {
  if (survival <= 0 || survival >= 1 || se === 0) return [0, survival >= 1 ? 1 : survival <= 0 ? 1 : survival];
  const spread = Math.exp((Z_90 * se) / (survival * Math.abs(Math.log(survival))));
  return [survival ** spread, survival ** (1 / spread)];
}

/** The age half do not outlive; null while more than half do. */
export const medianOf = (steps: readonly SurvivalStep[]): number | null =>
  steps.find(({ survival }) => survival <= 0.5)?.at ?? null;

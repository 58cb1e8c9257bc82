import { doubleReedPaths, tableView, type MoveView, type TableView } from '#contract/doublereeds.ts';
import { AS_IT_SHOULD } from '#core/doublereeds/examination.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { Person } from '#tools/lives/person.ts';

const MS_PER_MINUTE = 60_000;
/** Nobody sits at the table for more answers than this. */
const MOST_MOVES = 60;
/** How a reed really is; nobody is told. */
export type TrueReed = { cents: number; readonly rise: number; cracked: boolean; gapes: boolean };

/** Whoever sits at the table, and how the reed on it really is. */
type Sitting = {
  readonly person: Person;
  readonly say: (path: string, body: object) => Promise<unknown>;
  readonly truth: TrueReed;
  readonly slip: number;
};

/** Somebody with double reeds who lays them on the table, and orders new ones when it is said. */
export class AtTheTable {
  private readonly truths = new Map<string, TrueReed>();
  private readonly ordered: LocalDate[] = [];
  private turn = 0;

  constructor(
    private readonly kind: KindId,
    /** A tenth of a millimetre raises the crow by so many cents; how flat reeds are that come. */
    private readonly rise: number,
    private readonly flat: readonly number[],
  ) {}

  truthOf(reed: string): TrueReed {
    const known = this.truths.get(reed);
    if (known) return known;
    const cents = this.flat[this.truths.size % this.flat.length] ?? 0;
    const truth = { cents, rise: this.rise, cracked: false, gapes: this.truths.size % 4 === 3 };
    this.truths.set(reed, truth);
    return truth;
  }

  private async table(person: Person, reed: string): Promise<TableView> {
    const asked = doubleReedPaths.tableOf(reed, person.today);
    return tableView.validateSync(await person.get(asked), { strict: true });
  }

  private async look(at: Sitting, { look }: NonNullable<MoveView['look']>): Promise<void> {
    const { truth } = at;
    const opening = truth.gapes ? 'gapes' : 'lens';
    const seen = { ...AS_IT_SHOULD, opening, ...(truth.cracked && { light: 'crack' }) };
    await at.say(doubleReedPaths.look, { look, answer: seen[look] });
  }

  private async crow({ truth, say }: Sitting, crow: NonNullable<MoveView['crow']>): Promise<void> {
    const noise = ((this.turn++ * 7) % 11) - 5;
    const heard = truth.cents * (crow.from === 'crow' ? 1 : 0.5) + noise;
    const cents = Math.max(-100, Math.min(100, Math.round(heard / 5) * 5));
    const said = { heard: crow.heard[0]?.heard, cents: crow.pitchWords === null ? null : cents, from: crow.from };
    await say(doubleReedPaths.crow, said);
  }

  private async step({ truth, say, slip, person }: Sitting, { title, step }: MoveView): Promise<number> {
    if (step === null) return 0;
    const isClip = step.step === 'clip';
    const tenths = step.tenths + (isClip ? slip : 0);
    await say(doubleReedPaths.step, { step: step.step, tenths });
    person.note(`    ${title}`);
    if (isClip) truth.cents += truth.rise * tenths;
    if (step.step === 'close') truth.gapes = false;
    return isClip ? tenths : 0;
  }

  private async soak(
    { person, say }: Sitting,
    { says, usualMs, elapsedMs }: NonNullable<MoveView['soak']>,
  ): Promise<void> {
    person.at(person.minute + Math.max(1, Math.ceil((usualMs - elapsedMs) / MS_PER_MINUTE)));
    if (says !== null) await say(doubleReedPaths.look, { look: 'soak', answer: says });
  }

  /** Says what is asked, as the reed is; a slip of the hand takes so much more. @returns what was clipped off */
  private async answer(at: Sitting, move: MoveView): Promise<number> {
    if (move.look) await this.look(at, move.look);
    else if (move.crow) await this.crow(at, move.crow);
    else if (move.soak) await this.soak(at, move.soak);
    return this.step(at, move);
  }

  /** Lays a reed on the table and does what is said, to the end. */
  async lay(person: Person, reed: ReedId | string, { slip = 0 }: { readonly slip?: number } = {}): Promise<void> {
    const truth = this.truthOf(reed);
    const body = {
      reedId: reed,
      way: 'whole',
      noticed: truth.cracked ? ['sank'] : [],
      soakedMinutes: 0,
      interviewKey: null,
    };
    const key = await person.log(doubleReedPaths.begin, body);
    let clipped = 0;
    const words: string[] = [];
    for (let moves = 0; moves < MOST_MOVES; moves++) {
      const table = await this.table(person, reed);
      const { examination } = table;
      if (examination === null || examination === undefined) break;
      const { end, title, how } = examination.move;
      words.push(title, how ?? '');
      if (end) {
        person.note(`  ${table.name}: ${title}. ${how ?? ''}`);
        person.deeds.push({ did: 'at-the-table', reedId: reed, end: end.end, clippedTenths: clipped, words });
        return;
      }
      const say = (path: string, body: object) => person.log(path, { examinationKey: key, ...body });
      const at = { person, say, truth, slip: clipped === 0 ? slip : 0 };
      clipped += await this.answer(at, examination.move);
    }
    throw new Error(`the table of ${reed} comes to no end`);
  }

  /** Orders three when it is said that some are to be bought, and gets them a week later. */
  async supply(person: Person): Promise<void> {
    const due = this.ordered.filter((on) => on === person.today);
    for (const _ of due) {
      await person.box(this.kind, 'Teasel', [0, 0, 0], { breakIn: 'none' });
      person.note('  three reeds have come');
    }
    const of = await person.reedsOf(this.kind);
    const words = [...(of?.today.words ?? []), of?.concert?.words ?? ''].join(' ');
    const waits = this.ordered.some((on) => on > person.today);
    if (waits || !/\b(buy|order)\b/i.test(words)) return;
    this.ordered.push(addDays(person.today, 7));
    person.note('  ordered three reeds');
  }
}

import { doubleReedPaths, tableView, type TableView } from '#contract/doublereeds.ts';
import type { Look, LookAnswer } from '#core/doublereeds/examination.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { Person } from '#tools/lives/person.ts';

const MS_PER_MINUTE = 60_000;
/** Nobody sits at the table for more answers than this. */
const MOST_MOVES = 60;
const GOOD: Readonly<Record<Look, LookAnswer>> = {
  light: 'whole',
  corners: 'there',
  heart: 'seen',
  offset: 'nested',
  opening: 'lens',
  leak: 'tight',
  lips: 'same',
};

/** How a reed really is; nobody is told. */
export type TrueReed = { cents: number; readonly rise: number; cracked: boolean; gapes: boolean };

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

  /** Says what is asked, as the reed is; a slip of the hand takes so much more. */
  private async say(
    person: Person,
    key: string,
    { move }: NonNullable<TableView['examination']>,
    truth: TrueReed,
    slip: number,
  ) {
    const { soak, look, crow, step } = move;
    const say = (path: string, body: object) => person.log(path, { examinationKey: key, ...body });
    if (look) {
      const open = truth.gapes ? 'gapes' : 'lens';
      const answer =
        look.look === 'light' && truth.cracked ? 'crack' : look.look === 'opening' ? open : GOOD[look.look];
      await say(doubleReedPaths.look, { look: look.look, answer });
    } else if (crow) {
      const [good] = crow.heard;
      const noise = ((this.turn++ * 7) % 11) - 5;
      const heard = truth.cents * (crow.from === 'crow' ? 1 : 0.5) + noise;
      const cents = Math.max(-100, Math.min(100, Math.round(heard / 5) * 5));
      await say(doubleReedPaths.crow, {
        heard: good?.heard,
        cents: crow.pitchWords === null ? null : cents,
        from: crow.from,
      });
    } else if (step) {
      const tenths = step.tenths + (step.step === 'clip' ? slip : 0);
      await say(doubleReedPaths.step, { step: step.step, tenths });
      if (step.step === 'clip') truth.cents += truth.rise * tenths;
      if (step.step === 'close') truth.gapes = false;
      person.note(`    ${move.title}`);
    } else if (soak) {
      const said = soak.says;
      const passes = Math.ceil((soak.usualMs - soak.elapsedMs) / MS_PER_MINUTE);
      person.at(person.minute + Math.max(1, passes));
      if (said !== null) await say(doubleReedPaths.look, { look: 'soak', answer: said });
    }
    return step?.step === 'clip' ? step.tenths + slip : 0;
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
    for (let moves = 0; moves < MOST_MOVES; moves++) {
      const table = await this.table(person, reed);
      const { examination } = table;
      if (examination === null || examination === undefined) break;
      const { end, title, how } = examination.move;
      if (end) {
        person.note(`  ${table.name}: ${title}. ${how ?? ''}`);
        person.deeds.push({ did: 'at-the-table', reedId: reed, end: end.end, clippedTenths: clipped });
        return;
      }
      clipped += await this.say(person, key, examination, truth, clipped === 0 ? slip : 0);
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

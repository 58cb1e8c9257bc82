import { wordless } from '#core/methods/said-step.ts';
import { describe, expect, test } from '@jest/globals';
import type { StepId } from '#core/book/care-ids.ts';
import * as deeds from '#core/book/deed.ts';
import type { Deed, Thing } from '#core/book/deed.ts';
import type { Step } from '#core/book/step.ts';
import { NEEDS, type NeedId } from '#core/handling/needs.ts';
import { doStep, playThrough, worldOf } from '#core/handling/play-through.ts';
import { VERBS } from '#core/handling/verbs.ts';
import { emptyHands, type World } from '#core/handling/world.ts';
import type { PartId } from '#core/instruments/kind.ts';
import { BOOK } from '#core/tables/book.ts';
import { partsOf, type AnyRun } from '#core/testing/any-run.ts';

type Kind = AnyRun['instruments'][number]['kind'];
type Moment = 'before' | 'after' | 'all';

/** One instrument as hands find it. */
function found(kind: Kind, due: Moment = 'after'): World {
  const [part] = partsOf(BOOK, { instruments: [{ kind }], due: [due] });
  if (!part) throw new Error('no part');
  return worldOf({ instrument: kind, practice: part.practice, items: part.items }, emptyHands());
}
const anyStep = (part: PartId): Step => {
  const [step] = Object.values(BOOK.pagesOf).flatMap((uses) => uses.flatMap(({ page }) => page.steps));
  if (!step) throw new Error('no step');
  return { ...wordless(step), part };
};
const did = (world: World, ...all: readonly Deed[]): World => {
  for (const deed of all) VERBS[deed.do].leaves(world, deed, anyStep('mouthpiece'));
  return world;
};
/** What stands in the way of a deed by one rule. */
const stands = (rule: NeedId, world: World, deed: Deed, part: PartId = 'mouthpiece') =>
  NEEDS[rule](world, deed, anyStep(part));

const { blot, brush, draw, grease, hang, hold, join, lay, oil, part, soak, toAndFro, wipe } = deeds;

describe('hands: two, each free or holding one thing', () => {
  const held = (...things: readonly Thing[]) => did(found('alto-saxophone'), deeds.lay('body'), ...things.map(hold));
  test('two things are joined with both hands, or with one where the other hangs or is held', () => {
    expect(stands('hands-free', held(), part('neck', 'body'))).toBeNull();
    expect(stands('hands-free', held('cap'), part('neck', 'body'))).toEqual({ thing: 'neck', other: 'cap' });
    expect(stands('hands-free', did(held('cap'), hang('body')), part('neck', 'body'))).toBeNull();
    expect(stands('hands-free', held('body'), part('neck', 'body'))).toBeNull();
    expect(stands('hands-free', held('body', 'cap'), part('neck', 'body'))).toBeNull();
  });

  test('one hand lifts one thing; a cloth is drawn with both', () => {
    expect(stands('hands-free', held('body'), hold('cap'))).toBeNull();
    const two = did(found('clarinet', 'before'), hold('barrel'), hold('bell'));
    expect(stands('hands-free', two, hold('upper-joint'))).toEqual({ thing: 'upper-joint', other: 'barrel' });
    expect(stands('hands-free', did(two, lay('bell')), hold('upper-joint'))).toBeNull();
    expect(stands('hands-free', did(found('clarinet', 'before'), hold('bell')), draw('upper-joint'))).toMatchObject({
      other: 'bell',
    });
    expect(stands('hands-free', did(found('clarinet', 'before'), hold('bell')), toAndFro('upper-joint'))).toMatchObject(
      { other: 'bell' },
    );
  });

  test('what is held is itself no second thing', () => {
    const two = did(found('clarinet', 'before'), hold('barrel'), hold('bell'));
    expect(stands('hands-free', two, wipe('bell'))).toBeNull();
  });

  test('fine work is not done with anything heavy in the other hand or on the strap', () => {
    const hanging = did(found('alto-saxophone', 'before'), hang('body'));
    expect(stands('nothing-heavy-meanwhile', hanging, join('reed', 'mouthpiece'))).toEqual({
      thing: 'reed',
      other: 'body',
    });
    expect(stands('nothing-heavy-meanwhile', hanging, join('neck', 'body'))).toBeNull();
    expect(
      stands(
        'nothing-heavy-meanwhile',
        did(found('alto-saxophone', 'before'), hold('mouthpiece')),
        join('reed', 'mouthpiece'),
      ),
    ).toBeNull();
  });
});

describe('joints', () => {
  test('together and apart are each other’s opposite', () => {
    const world = found('clarinet');
    expect(stands('together', world, part('bell', 'lower-joint'))).toBeNull();
    expect(stands('apart', world, join('bell', 'lower-joint'))).toEqual({ thing: 'bell', other: 'lower-joint' });
    did(world, part('bell', 'lower-joint'));
    expect(stands('together', world, part('bell', 'lower-joint'))).toEqual({ thing: 'bell', other: 'lower-joint' });
    expect(stands('apart', world, join('bell', 'lower-joint'))).toBeNull();
    expect(stands('apart', world, wipe('bell'))).toBeNull();
  });

  test('nothing is twisted while a reed stands bare on what is twisted; its own cap, ligature and reed are', () => {
    const world = found('clarinet');
    did(world, part('cap', 'mouthpiece'));
    expect(world.with('mouthpiece').has('reed')).toBe(true);
    expect(stands('tip-covered', world, part('mouthpiece', 'barrel'))).toEqual({ thing: 'reed' });
    expect(stands('tip-covered', world, part('bell', 'lower-joint'))).toEqual({ thing: 'reed' });
    for (const own of ['reed', 'ligature', 'cap'] as const)
      expect(stands('tip-covered', world, join(own, 'mouthpiece'))).toBeNull();
    // A joint that is not on the mouthpiece carries no reed.
    did(world, part('bell', 'lower-joint'));
    expect(stands('tip-covered', world, join('bell', 'lower-joint'))).toBeNull();
    did(world, join('cap', 'mouthpiece'));
    expect(stands('tip-covered', world, part('mouthpiece', 'barrel'))).toBeNull();
    expect(stands('tip-covered', found('flute'), part('head-joint', 'body'))).toBeNull();
  });

  test('a slide goes anywhere only with its lock shut, or by its mouthpiece', () => {
    const world = found('trombone');
    expect(world.open.has('slide-lock')).toBe(true);
    expect(stands('locked-slide', world, part('bell', 'hand-slide'))).toEqual({ thing: 'hand-slide' });
    expect(stands('locked-slide', world, part('mouthpiece', 'hand-slide'))).toBeNull();
    did(world, deeds.shut('slide-lock'));
    expect(stands('locked-slide', world, part('bell', 'hand-slide'))).toBeNull();
  });

  test('corks and tenons are greased with the joint off; cap, ligature and plug may stay', () => {
    const world = found('clarinet');
    expect(stands('taken-apart', world, grease('corks'), 'bell')).toEqual({ thing: 'bell', other: 'lower-joint' });
    expect(stands('taken-apart', world, grease('tenons'), 'bell')).toEqual({ thing: 'bell', other: 'lower-joint' });
    expect(stands('taken-apart', world, grease('keys'), 'bell')).toBeNull();
    did(world, part('bell', 'lower-joint'));
    expect(stands('taken-apart', world, grease('corks'), 'bell')).toBeNull();
    did(world, part('reed', 'mouthpiece'), part('mouthpiece', 'barrel'));
    expect(world.with('mouthpiece').has('ligature')).toBe(true);
    expect(stands('taken-apart', world, grease('corks'), 'mouthpiece')).toBeNull();
  });
});

describe('cloths', () => {
  const joint = () => did(found('clarinet'), part('bell', 'lower-joint'), part('lower-joint', 'upper-joint'));
  test('a swab is drawn through what is open at both ends; to and fro at the end it goes in', () => {
    const world = joint();
    expect(stands('ends-free', world, draw('lower-joint'))).toBeNull();
    expect(stands('ends-free', world, draw('upper-joint'))).toEqual({ thing: 'upper-joint', other: 'barrel' });
    expect(stands('ends-free', world, toAndFro('upper-joint'))).toEqual({ thing: 'upper-joint', other: 'barrel' });
    expect(stands('ends-free', world, wipe('upper-joint'))).toBeNull();
    did(world, part('reed', 'mouthpiece'));
    expect(stands('ends-free', world, toAndFro('mouthpiece', 'barrel', 'upper-joint'))).toBeNull();
    // In at the mouthpiece and out the same way: what is behind the barrel is not met.
    expect(stands('ends-free', world, toAndFro('mouthpiece', 'barrel'))).toBeNull();
    expect(stands('ends-free', world, draw('mouthpiece', 'barrel'))).toMatchObject({ thing: 'barrel' });
  });

  test('it goes from piece to piece only where they are joined', () => {
    const world = did(joint(), part('mouthpiece', 'barrel'), part('barrel', 'upper-joint'));
    expect(stands('ends-free', world, draw('upper-joint', 'lower-joint'))).toEqual({
      thing: 'lower-joint',
      other: 'upper-joint',
    });
    expect(
      stands('ends-free', did(world, join('upper-joint', 'lower-joint')), draw('upper-joint', 'lower-joint')),
    ).toBeNull();
  });
});

describe('water, oil and grease', () => {
  test('a bath is not reached into, and only what lies in one is lifted out', () => {
    const world = did(found('trumpet'), part('mouthpiece', 'body'));
    expect(stands('not-in-a-bath', world, wipe('mouthpiece'))).toBeNull();
    expect(stands('in-a-bath', world, deeds.liftOut('mouthpiece'))).toEqual({ thing: 'mouthpiece' });
    did(world, soak('mouthpiece', 'water'));
    expect(stands('not-in-a-bath', world, wipe('mouthpiece'))).toEqual({ thing: 'mouthpiece' });
    expect(stands('in-a-bath', world, deeds.liftOut('mouthpiece'))).toBeNull();
  });

  test('nothing that was greased goes into water, and grease is not wiped off again', () => {
    const world = did(found('trombone'), part('mouthpiece', 'hand-slide'), oil('outer-slide'));
    expect(stands('not-greased-yet', world, wipe('outer-slide'))).toMatchObject({ thing: 'outer-slide' });
    expect(stands('not-greased-yet', world, brush('outer-slide'))).toMatchObject({ thing: 'outer-slide' });
    expect(stands('not-greased-yet', world, blot('outer-slide'))).toBeNull();
    expect(stands('not-greased-yet', world, wipe('mouthpiece'))).toBeNull();
    expect(stands('uncoated', world, soak('outer-slide', 'water'))).toMatchObject({ thing: 'outer-slide' });
    expect(stands('uncoated', world, soak('mouthpiece', 'water'))).toBeNull();
  });

  test('the same is done once, and washing a mouthpiece is brushing it', () => {
    const world = found('trumpet');
    world.did.set('brush mouthpiece', 'brass/brush-mouthpiece' as StepId);
    const washed = { ...anyStep('mouthpiece'), id: 'brass/shut-case' as StepId };
    expect(NEEDS.once(world, deeds.wash('mouthpiece'), washed)).toEqual({
      thing: 'mouthpiece',
      by: 'brass/brush-mouthpiece',
    });
    expect(NEEDS.once(world, wipe('mouthpiece'), washed)).toBeNull();
    expect(NEEDS.once(world, brush('body'), washed)).toBeNull();
    expect(NEEDS.once(world, brush('mouthpiece'), { ...washed, id: 'brass/brush-mouthpiece' as StepId })).toBeNull();
  });

  test('bore oil wants the pads shielded; key oil does not', () => {
    const world = found('clarinet', 'all');
    expect(stands('pads-shielded', world, oil('every-bore'))).toEqual({ thing: 'pads' });
    expect(stands('pads-shielded', world, oil('rods'))).toBeNull();
    expect(stands('pads-shielded', did(world, deeds.shield('pads')), oil('every-bore'))).toBeNull();
  });
});

describe('what is left at the end', () => {
  const leftIn = (kind: Kind, due: Moment, ...does: readonly Deed[]) => {
    const [handled] = partsOf(BOOK, { instruments: [{ kind }], due: [due] }).map(
      ({ instrumentId, practice, items }) => ({
        instrument: instrumentId,
        practice,
        items,
      }),
    );
    if (!handled) throw new Error('no part');
    const step = { ...anyStep('mouthpiece'), does };
    const { broken } = playThrough([handled], [{ instrument: handled.instrument, step }], []);
    return broken.filter((one) => one.step === null).map(({ rule, thing }) => `${rule} ${thing}`);
  };
  test('a bath of any kind, slips, oil, water', () => {
    for (const bath of ['water', 'acid', 'cup', 'mouth'] as const)
      expect(leftIn('clarinet', 'before', soak('reed', bath))).toContain('left-in-a-bath reed');
    expect(leftIn('clarinet', 'before', soak('reed', 'cup'), deeds.liftOut('reed'))).toEqual([]);
    expect(leftIn('clarinet', 'before', deeds.shield('pads'))).toEqual(['left-shielded pads']);
    expect(leftIn('clarinet', 'before', deeds.rinse('mouthpiece'))).toEqual(['left-wet mouthpiece']);
    expect(leftIn('clarinet', 'before', deeds.rinse('mouthpiece'), deeds.hangUp('mouthpiece'))).toEqual([]);
    expect(leftIn('clarinet', 'before', deeds.rinse('mouthpiece'), deeds.dry('mouthpiece'))).toEqual([]);
  });

  test('what is open after playing is the case, the neck screw, and what was forgotten', () => {
    expect(leftIn('trombone', 'after')).toEqual(['left-open slide-lock']);
    expect(leftIn('trombone', 'after', deeds.shut('slide-lock'))).toEqual([]);
    expect(leftIn('trombone', 'before', deeds.open('slide-lock'))).toEqual([]);
    expect(leftIn('alto-saxophone', 'after', deeds.open('neck-screw'))).toEqual([]);
  });
});

test('an exception holds for its own rule, step, blame and thing, and no other', () => {
  const [handled] = partsOf(BOOK, { instruments: [{ kind: 'clarinet' }], due: ['after'] }).map(
    ({ instrumentId, practice, items }) => ({ instrument: instrumentId, practice, items }),
  );
  if (!handled) throw new Error('no part');
  const step = { ...anyStep('mouthpiece'), does: [join('bell', 'lower-joint')] };
  const broken = (over: object) =>
    playThrough(
      [handled],
      [{ instrument: handled.instrument, step }],
      [{ rule: 'apart', why: 'It is tried.', ...over } as (typeof BOOK.exceptions)[number]],
    ).broken.map(({ rule }) => rule);
  expect(broken({})).not.toContain('apart');
  expect(broken({ step: step.id })).not.toContain('apart');
  expect(broken({ thing: 'bell' })).not.toContain('apart');
  expect(broken({ rule: 'together' })).toContain('apart');
  expect(broken({ step: 'brass/shut-case' })).toContain('apart');
  expect(broken({ by: 'brass/shut-case' })).toContain('apart');
  expect(broken({ thing: 'barrel' })).toContain('apart');
  expect(broken({ method: { id: 'bassoon-join-order', choices: ['bell-on-long-first'] } })).toContain('apart');
});

describe('what was found, and what is on the fingers', () => {
  const of = (item: string): Step => ({ ...anyStep('valve-slides'), item: item as Step['item'] });

  test('what a look has found stuck keeps from being pulled what waits for it, and nothing else', () => {
    const world = found('horn', 'all');
    const grease = deeds.greaseInTurn('every-slide');
    expect(NEEDS['not-blocked'](world, grease, of('brass/slide-grease'))).toBeNull();
    world.noticed.add('brass/stuck');
    expect(NEEDS['not-blocked'](world, grease, of('brass/slide-grease'))).toEqual({ thing: 'main-slide' });
    expect(NEEDS['not-blocked'](world, grease, of('brass/wipe'))).toBeNull();
    expect(VERBS['grease-in-turn'].needs).toContain('not-blocked');
  });

  test('no valve is pressed while the pistons lie on their cloth; a horn has none', () => {
    const trumpet = found('trumpet');
    const out = part('pistons', 'valve-block');
    expect(stands('valves-in', trumpet, deeds.push('main-slide'))).toBeNull();
    expect(stands('valves-in', did(trumpet, out), deeds.push('main-slide'))).toEqual({ thing: 'pistons' });
    expect(stands('valves-in', did(found('trumpet'), out), deeds.work('valves'))).toEqual({ thing: 'pistons' });
    expect(stands('valves-in', did(found('trumpet'), out), wipe('outside'))).toBeNull();
    expect(stands('valves-in', found('horn'), deeds.work('valves'))).toBeNull();
  });

  test('what goes to the lips is not touched with oil on the fingers, until they are wiped', () => {
    const oiled: Step = { ...anyStep('body'), id: 'keyed/oil', does: [oil('keys')] };
    const lips: Step = { ...anyStep('head-joint'), id: 'flute/lips', does: [wipe('lip-plate')] };
    const wiped: Step = { ...anyStep('body'), id: 'keyed/fingers', does: [deeds.clean('fingers')] };
    const rules = (...steps: Step[]) => {
      const world = found('flute', 'all');
      return steps.flatMap((step) => doStep(world, step)).map(({ rule, by }) => [rule, by]);
    };
    expect(rules(lips, oiled)).not.toContainEqual(['clean-fingers', 'keyed/oil']);
    expect(rules(oiled, lips)).toContainEqual(['clean-fingers', 'keyed/oil']);
    expect(rules(oiled, wiped, lips)).not.toContainEqual(['clean-fingers', 'keyed/oil']);
  });

  test('nothing is drawn through what is closed at one end', () => {
    const piccolo = did(found('piccolo', 'all'), part('head-joint', 'body'));
    expect(stands('open-at-both-ends', piccolo, draw('head-joint'))).toEqual({ thing: 'head-joint' });
    expect(stands('open-at-both-ends', piccolo, oil('every-bore'))).toEqual({ thing: 'head-joint' });
    expect(stands('open-at-both-ends', piccolo, toAndFro('head-joint'))).toBeNull();
    expect(stands('open-at-both-ends', piccolo, draw('body'))).toBeNull();
    for (const verb of ['draw', 'oil', 'blot'] as const) expect(VERBS[verb].needs).toContain('open-at-both-ends');
  });

  test('nobody bends down to the case with a sousaphone on the shoulder; a saxophone on its strap is no matter', () => {
    const worn = did(found('sousaphone', 'before'), hang('valve-block'));
    expect(stands('upright', worn, deeds.shutEmpty('case'))).toEqual({ thing: 'case', other: 'valve-block' });
    expect(stands('upright', did(worn, lay('valve-block')), deeds.shutEmpty('case'))).toBeNull();
    expect(stands('upright', did(found('alto-saxophone'), hang('body')), deeds.shutEmpty('case'))).toBeNull();
    expect(VERBS['shut-empty'].needs).toContain('upright');
  });

  test('nothing is dried with a swab that has been washed or hung up', () => {
    const hung = did(found('oboe', 'all'), part('upper-joint', 'lower-joint'), deeds.hangUp('swab'));
    expect(stands('swab-at-hand', found('oboe', 'all'), blot('every-bore'))).toBeNull();
    expect(stands('swab-at-hand', hung, blot('every-bore'))).toEqual({ thing: 'swab' });
    expect(stands('swab-at-hand', hung, draw('lower-joint'))).toEqual({ thing: 'swab' });
    expect(stands('swab-at-hand', hung, blot('pads'))).toBeNull();
    expect(stands('swab-at-hand', did(found('oboe'), deeds.wash('swab')), draw('lower-joint'))).toEqual({
      thing: 'swab',
    });
  });

  test('off the strap is in the hand', () => {
    const world = did(found('alto-saxophone'), part('mouthpiece', 'neck'), deeds.unhook('body'));
    expect([world.isHeld('body'), world.hangs('body')]).toEqual([true, false]);
    expect(stands('hands-free', world, toAndFro('mouthpiece'))).toEqual({ thing: 'mouthpiece', other: 'body' });
  });
});

import { boxNames, reedName } from '#core/reeds/reed-words.ts';
import { partsOfReedId, type SaidOfReed } from '#core/reeds/reed.ts';
import { succeed } from '#core/kernel/outcome.ts';
import { looksFrom, noticedFrom } from '#core/doublereeds/from-interview.ts';
import { openInterview } from '#server/features/doublereeds/interview-beside.ts';
import { reedSaidFact } from '#contract/reeds.ts';
import { examinationFact, lookFact } from '#contract/doublereeds.ts';
import { examinationFromRow } from '#server/features/doublereeds/doublereeds.mapper.ts';
import { examinations } from '#server/features/doublereeds/doublereeds.table.ts';
import { atHand, doubleReed, examinationsOf } from '#server/features/doublereeds/table-at-hand.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** A reed was laid on the table. */
export const examinationDefinition = defineFact<Services>()(examinationFact, {
  store: bodyTable(examinations, { toRow: (noted) => noted, fromRow: examinationFromRow }),
  words: ({ body: { playerId, reedId, way } }, { reeds }) => {
    const parts = partsOfReedId(reedId);
    const boxName = boxNames(reeds.boxes(playerId)).get(parts?.boxKey ?? '');
    const name = parts && boxName !== undefined ? reedName({ boxName, number: parts.number }) : 'A reed';
    return `${name}. Looked at ${way === 'quick' ? 'quickly, beside others' : 'at the table'}.`;
  },
  /** Another tab has laid it there already, and it is not done with. */
  sameAs: ({ reedId, now: _now }, services) => {
    const nowMs = services.nowMs();
    const { going, before } = examinationsOf(services, reedId, nowMs);
    const reed = going && doubleReed(services, reedId);
    if (!going || !reed?.ok) return undefined;
    return atHand(services, reed.value, { told: going, before, nowMs }).move.move === 'end' ? undefined : going.key;
  },
  decide: ({ key, reedId, way, noticed, soakedMinutes, interviewKey }, { now, atMs }, services) => {
    const reed = doubleReed(services, reedId);
    if (!reed.ok) return reed;
    const playerId = reed.value.player.id;
    const interview = interviewKey === null ? undefined : openInterview(services, interviewKey);
    const all = [...new Set([...noticed, ...noticedFrom(interview?.said ?? [])])];
    const interviewOf = interview?.instrumentId ?? null;
    const body = { playerId, reedId, way, noticed: all, soakedMinutes, interviewKey, interviewOf, atMs };
    // What the interview has looked at is not looked at again.
    const seen = looksFrom(interview?.said ?? []).map(({ look, answer }) => ({
      kind: lookFact.kind,
      key: `${key}/${look}`,
      body: { examinationKey: key, look, answer, atMs },
      ...now,
    }));
    // A crack that was seen there ends it here in the same moment.
    const isCracked = seen.some(({ body: { answer } }) => answer === 'crack') && !reed.value.hasEnded;
    const ended: SaidOfReed = { playerId, reedId, what: 'ended', feel: null, goodFor: null, signs: [], cause: 'split' };
    const end = { kind: reedSaidFact.kind, key: `${key}/end`, body: ended, ...now };
    return succeed({ body, ...now, with: isCracked ? [...seen, end] : seen });
  },
});

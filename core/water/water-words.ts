import type { WhyLine } from '#core/explain/explained.ts';
import { counted, duration, type Format } from '#core/explain/format.ts';
import type { LetOutReason } from '#core/water/let-out.ts';
import type { PassReason } from '#core/water/passes.ts';

/** A pass reason in words. */
export function passReasonWords(reason: PassReason, format: Format): WhyLine {
  const { rule } = reason;
  switch (rule) {
    case 'water-blown-in': {
      const { minutes, roomCelsius, grams } = reason;
      return {
        rule,
        text: `${duration(minutes)} played at about ${format.celsius(roomCelsius)} leave about ${format.grams(grams)} of water.`,
        mark: 'estimate',
      };
    }
    case 'dries-per-pass': {
      const share = Math.round(reason.takenPerPass * 100);
      const text = `Each pass takes about ${share} % of what is left; below about ${format.grams(reason.dryGrams)} it feels dry, after ${reason.wanted}.`;
      return { rule, text, mark: 'estimate' };
    }
    case 'cloth':
      return {
        rule,
        text: `Your cloth counts as about ${format.number(reason.thirst)} times as thirsty as the usual one.`,
        mark: 'estimate',
      };
    case 'your-wetness': {
      const { taps, factor, chance } = reason;
      const text = `By ${counted(taps, 'tap')} of yours you leave about ${format.number(factor)} times the usual water; dry after this many with a chance of about ${Math.round(chance * 100)} %.`;
      return { rule, text, mark: 'yours' };
    }
    case 'floor':
      return { rule, text: `Never fewer than ${reason.bound.value}, however short the play.`, mark: reason.bound.mark };
    case 'ceiling':
      return { rule, text: `Never more than ${reason.bound.value}; let the rest air.`, mark: reason.bound.mark };
  }
}

/** A reason to let water out after so long, in words. */
export function letOutWords(reason: LetOutReason, format: Format): WhyLine {
  const { rule } = reason;
  switch (rule) {
    case 'rate': {
      const { gramsPerMinute, roomCelsius } = reason;
      const text = `At about ${format.celsius(roomCelsius)} about ${format.grams(gramsPerMinute)} of water gather in a minute of the session.`;
      return { rule, text, mark: 'estimate' };
    }
    case 'pool':
      return {
        rule,
        text: `About ${format.grams(reason.poolGrams)} gurgle and are worth letting out.`,
        mark: 'estimate',
      };
    case 'your-wetness': {
      const text = `By ${counted(reason.taps, 'tap')} of yours you leave about ${format.number(reason.factor)} times the usual water.`;
      return { rule, text, mark: 'yours' };
    }
  }
}

import { signHere } from '#core/faults/faults-for.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { FaultBook } from '#contract/faults.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import { lookAt, remedyView } from '#server/views/looked-at.ts';
import type { Services } from '#server/services.ts';

/** Every sign, cause, look and remedy of one instrument, without asking anything. */
export function faultBookOf(services: Services, id: string, today: LocalDate): Outcome<FaultBook, Failure> {
  const looked = lookAt(services, id, today);
  if (!looked) return fail(noInstrument());
  const { here, reading } = looked;
  const { prior } = here.figures;
  return succeed({
    instrumentId: reading.instrument.id,
    complaints: here.signs
      .filter(({ sort }) => sort === 'complaint')
      .map(({ id: sign, words }) => ({
        sign,
        words,
        causes: here.causes
          .flatMap((cause) => cause.links.filter((link) => link.sign === sign).map((link) => ({ cause, link })))
          .sort(
            (a, b) =>
              prior[b.cause.common].value * here.figures.link[b.link.word].value -
              prior[a.cause.common].value * here.figures.link[a.link.word].value,
          )
          .map(({ cause, link }) => ({
            cause: cause.id,
            name: cause.name,
            how: `${link.word.charAt(0).toUpperCase()}${link.word.slice(1)} shows it.`,
            mark: cause.mark,
            looks: cause.links.flatMap((one) => {
              const shown = signHere(here, one.sign);
              return shown && shown.sort !== 'complaint' ? [shown.question] : [];
            }),
            remedy: remedyView(cause, looked),
          })),
      }))
      .filter(({ causes }) => causes.length > 0),
    never: [...new Set(here.causes.flatMap(({ remedy }) => remedy.never ?? []))],
  });
}

import { object } from 'yup';
import { TABLE_IMPORT, tableImportWords, type TableImported } from '#core/data/table-words.ts';
import { TABLE_KINDS } from '#core/data/table-columns.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { amount, playerId, text, word } from '#contract/scalars.ts';
import { tableImports } from '#server/features/data/data.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** A table of plays or of care was brought in: its rows came with it, and are taken back with it. */
export const tableImportDefinition = defineFact<Services>()(
  {
    kind: TABLE_IMPORT,
    about: ({ playerId: id }: TableImported) => [ofPlayer(id)],
    kept: object({
      playerId: playerId().required(),
      what: word(TABLE_KINDS).required(),
      name: text().max(255).defined(),
      rows: amount().integer().min(0).required(),
    })
      .exact()
      .required(),
  },
  {
    store: bodyTable(tableImports, {
      toRow: (brought) => brought,
      fromRow: ({ factId: _factId, ...brought }) => brought,
    }),
    words: ({ body }) => tableImportWords(body),
    eachIsTold: true,
  },
);

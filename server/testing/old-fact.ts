type Said = {
  readonly key: string;
  readonly kind: string;
  readonly table: string;
  /** The columns of its body, by name, as SQL writes them. */
  readonly body: Readonly<Record<string, string>>;
  /** Of whom it tells, and whether it stands in their record. */
  readonly about?: readonly string[];
  readonly belongsTo?: string;
};

export const DAY = '2026-02-01';
/** A fact with its body and its subjects, as every version has them that knows a spine. */
export const aFact = ({ key, kind, table, body, about = ['ada'], belongsTo }: Said): string => {
  const idOf = (name: string) => `(select id from facts where key = '${name}')`;
  const owner = belongsTo === undefined ? 'null' : idOf(belongsTo);
  const subjects = about.map((name) => [name === 'ada' ? 'player' : 'instrument', name] as const);
  return [
    `insert into facts (key, kind, "on", at_minute, logged_at, belongs_to, counts) values ('${key}', '${kind}', '${DAY}', 600, '${DAY}T10:00:00.000Z', ${owner}, 1)`,
    `insert into ${table} (fact_id, ${Object.keys(body).join(', ')}) values (${idOf(key)}, ${Object.values(body).join(', ')})`,
    ...subjects.flatMap(([of, name]) => [
      `insert or ignore into subjects (kind, name) values ('${of}', '${name}')`,
      `insert into fact_subjects values (${idOf(key)}, (select id from subjects where kind = '${of}' and name = '${name}'), 29500000)`,
    ]),
  ].join(';\n');
};
export const json = (value: unknown): string => `'${JSON.stringify(value)}'`;
export const ADA = { player_id: `'ada'` };

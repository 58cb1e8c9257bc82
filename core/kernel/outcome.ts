/** What a function returns when the caller is expected to handle failure. Bugs still throw. */
export type Outcome<Value, Failure extends { readonly code: string }> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly failure: Failure };

export const succeed = <Value>(value: Value) => ({ ok: true, value }) as const;
export const fail = <Failure extends { readonly code: string }>(failure: Failure) => ({ ok: false, failure }) as const;

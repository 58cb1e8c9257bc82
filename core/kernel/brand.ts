declare const brand: unique symbol;

/** A value of `Base` that only its own module may mint. Costs nothing at run time. */
export type Branded<Base, Name extends string> = Base & { readonly [brand]: Name };

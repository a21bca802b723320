/** What stands in the place of a value. */
export type Value = string | number;

/** The names of the values that a message wants. Branches of a plural are told from names by their "#" or a space. */
export type ValuesIn<M extends string> = M extends `${string}{${infer Name}}${infer Rest}`
  ? NameOf<Name> | ValuesIn<Rest>
  : never;
type NameOf<N extends string> = Plain<Last<N>> | (N extends `${infer Name}, ${string}` ? Plain<Name> : never);
/** What stands after the last "{": a name within a branch. */
type Last<N extends string> = N extends `${string}{${infer Inner}` ? Last<Inner> : N;
type Plain<N extends string> = N extends '' | `${string}${' ' | '#' | ',' | '{'}${string}` ? never : N;

/** Messages of the product by their English, in one language. */
export type Catalog = Readonly<Record<string, string>>;

import { Children, cloneElement, type ReactElement, type ReactNode } from 'react';
import { piecesOf, type ValuesIn } from '@/core/say/say';

interface SayProps<M extends string> {
  readonly words: M;
  /** What stands for the names in it: elements too. */
  readonly values?: Readonly<Record<ValuesIn<M>, ReactNode>>;
  /** What words look like that stand in `<b>…</b>`, by the letter: an element without children. */
  readonly marks?: Readonly<Record<string, ReactElement<{ children?: ReactNode }>>>;
}

/** A message of which parts look different, in the language of the page. */
export function Say<const M extends string>({ words, values, marks = {} }: SayProps<M>) {
  const drawn = piecesOf<ReactNode>(words, values ?? {}).map(({ mark, of }) => {
    const look = mark === null ? undefined : marks[mark];
    return look ? cloneElement(look, {}, <Told>{of}</Told>) : of;
  });
  // Words and numbers stay as they are: side by side they are told as one text.
  return <>{Children.toArray(drawn)}</>;
}

/** An element that is made and not only cloned: its words are told in the cook's manner. */
const Told = ({ children }: { readonly children: ReactNode }) => children;

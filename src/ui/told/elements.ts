import { retold } from '@/core/say/retold';
import { spoken } from '@/core/say/say';
import { CANONICAL } from '@/core/units/manner';
import { inFigures, inMeasures, told } from '@/core/units/told';
import { manner } from './current';

/** What of an element is read by people besides what is in it. */
const READ = ['aria-label', 'aria-valuetext', 'aria-description', 'title', 'placeholder', 'alt'] as const;

/** What an element is told to be: its props as React takes them. */
type Props = Readonly<Record<string, unknown>>;

/**
 * The props of an element as the cook reads them. `data-verbatim` leaves one as it is written: a clock that counts down is no hour of the day.
 */
export function toldProps(type: unknown, props: Props): Props {
  if (type === 'style' || type === 'script' || (manner() === CANONICAL && spoken() === 'en')) return props;
  if (props['data-verbatim'] !== undefined) return inOwnFigures(props);
  const changed: Record<string, unknown> = {};
  for (const name of READ) {
    const text = props[name];
    if (typeof text === 'string') changed[name] = told(text, manner());
  }
  const { children } = props;
  if (children !== undefined) changed['children'] = toldChildren(children);
  return { ...props, ...changed };
}

/** A clock that counts down keeps its form; its figures are the reader's. */
function inOwnFigures(props: Props): Props {
  const { figures } = manner();
  const { children } = props;
  if (figures === CANONICAL.figures || children === undefined) return props;
  const figured = (child: unknown) => (isText(child) ? inFigures(String(child), figures) : child);
  return { ...props, children: Array.isArray(children) ? children.map(figured) : figured(children) };
}

const isText = (child: unknown): child is string | number => typeof child === 'string' || typeof child === 'number';
/** What React draws as nothing. */
const isNothing = (child: unknown) => child === null || child === undefined || typeof child === 'boolean';

/**
 * Texts that stand side by side are one text ("200", " °C"): it stands at the first one's place, so that all others keep theirs. What a dish keeps is one of
 * them by itself ("+ ", "Leek soup").
 */
function toldChildren(children: unknown): unknown {
  if (isText(children)) return told(String(children), manner());
  if (!Array.isArray(children)) return children;
  const out: unknown[] = [...children];
  for (let at = 0; at < out.length; at++) {
    if (!isText(out[at])) continue;
    const first = at;
    let text = retold(String(out[at]));
    while (at + 1 < out.length && (isText(out[at + 1]) || isNothing(out[at + 1]))) {
      at++;
      if (isText(out[at])) text += retold(String(out[at]));
      out[at] = null;
    }
    out[first] = inMeasures(text, manner());
  }
  return out;
}

import { Fragment, type JSX, jsxDEV as plainJsxDev } from 'react/jsx-dev-runtime';
import { toldProps } from './elements';

/** `jsx-runtime` while developing and in tests. */
export const jsxDEV: typeof plainJsxDev = (type, props, ...rest) =>
  plainJsxDev(type, toldProps(type, props as never) as never, ...rest);
export { Fragment, type JSX };

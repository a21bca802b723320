import { Fragment, type JSX, jsx as plainJsx, jsxs as plainJsxs } from 'react/jsx-runtime';
import { toldProps } from './elements';

/**
 * The way every element of the app is made (`jsxImportSource` in tsconfig.json): React's own, with all texts told in the cook's manner of measuring.
 * So no view can forget it.
 */
type Make = typeof plainJsx;

export const jsx: Make = (type, props, key) => plainJsx(type, toldProps(type, props as never), key);
export const jsxs: Make = (type, props, key) => plainJsxs(type, toldProps(type, props as never), key);
export { Fragment, type JSX };

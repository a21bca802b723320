export const BROWSER_PACKAGES: readonly string[];
export function browserHere(): string | undefined;

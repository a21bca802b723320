/** A package as `package-lock.json` records it. */
interface Locked {
  readonly version?: string;
  readonly license?: string;
  readonly dev?: boolean;
  readonly devOptional?: boolean;
  readonly optional?: boolean;
  readonly hasInstallScript?: boolean;
}

/** What is read of `package-lock.json`. */
export interface Lock {
  readonly packages: Readonly<Record<string, Locked>>;
}

/** A package that the product is served with. */
export interface Supplied {
  readonly name: string;
  readonly version: string;
  readonly licence: string;
  /** Installed on some machines only, or for what the product does not use. */
  readonly isOptional: boolean;
}

/** Packages that name no licence where it is looked for; found in the file named. */
const NAMED_ELSEWHERE: Readonly<Record<string, string>> = { 'png-js': 'MIT (by its LICENSE file)' };

const nameOf = (path: string) => path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);

/** All packages that are not of development only, by name. */
export function supplied({ packages }: Lock): readonly Supplied[] {
  return Object.entries(packages)
    .filter(([path, { dev }]) => path !== '' && !dev)
    .map(([path, each]) => ({
      name: nameOf(path),
      version: each.version ?? '',
      licence: each.license ?? NAMED_ELSEWHERE[nameOf(path)] ?? '',
      isOptional: each.optional === true || each.devOptional === true,
    }))
    .sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.version < b.version ? -1 : 1));
}

/** Packages of any sort that run a program of their own when they are installed. */
export function withInstallScripts({ packages }: Lock): readonly string[] {
  return Object.entries(packages)
    .filter(([, { hasInstallScript }]) => hasInstallScript)
    .map(([path]) => nameOf(path))
    .sort();
}

/** The page of licences, in Markdown. */
export function licencesPage(lock: Lock): string {
  const all = supplied(lock);
  const table = (list: readonly Supplied[]) =>
    ['| package | version | licence |', '| --- | --- | --- |'].concat(
      list.map(({ name, version, licence }) => `| ${name} | ${version} | ${licence} |`),
    );
  const needed = all.filter(({ isOptional }) => !isOptional);
  const optional = all.filter(({ isOptional }) => isOptional);
  return [
    '# Licences of what the product is served with',
    '',
    'Written by `npm run licences` from `package-lock.json`; `npm run verify` fails when it is not true any more. Packages of development only',
    'are not in it.',
    '',
    `## Always installed (${needed.length})`,
    '',
    ...table(needed),
    '',
    `## Installed on some machines only, or wanted by something that the product does not use (${optional.length})`,
    '',
    ...table(optional),
    '',
  ].join('\n');
}

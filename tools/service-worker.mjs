import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

// After `next build`, and before each start: makes public/sw.js, which keeps the app on a device, and tells it what belongs to this build. What
// whoever serves has set is in the pages that are kept, so that another setting is another build.

const root = fileURLToPath(new URL('..', import.meta.url));
const built = join(root, '.next');

const filesUnder = (folder) =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => relative(folder, join(entry.parentPath, entry.name)).split(sep).join('/'));

const set = ['WARM_CADENCE_SAMPLES', 'WARM_CADENCE_PLAN_SECONDS'].map((name) => process.env[name] ?? '');
const id = `${readFileSync(join(built, 'BUILD_ID'), 'utf8').trim()}.${createHash('sha1').update(set.join(' ')).digest('hex').slice(0, 8)}`;
const routes = Object.entries(JSON.parse(readFileSync(join(built, 'app-path-routes-manifest.json'), 'utf8')));
const views = routes.filter(([file, route]) => file.endsWith('/page') && !route.startsWith('/_'));
const served = routes.filter(([file, route]) => file.endsWith('/route') && !route.startsWith('/api/'));
const own = filesUnder(join(root, 'public')).filter((file) => file !== 'sw.js');

const files = {
  fixed: filesUnder(join(built, 'static'))
    .filter((file) => !file.endsWith('.map'))
    .map((file) => `/_next/static/${file.split('/').map(encodeURIComponent).join('/')}`),
  ofBuild: [...served.map(([, route]) => route), ...own.map((file) => `/${file}`)],
};

mkdirSync(join(root, 'public'), { recursive: true });
const { outputFiles } = await build({
  entryPoints: [join(root, 'src/offline/service-worker.ts')],
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  write: false,
  define: {
    BUILD: JSON.stringify(id),
    FILES: JSON.stringify(files),
    ROUTES: JSON.stringify(views.map(([, route]) => route).sort()),
    'process.env.NODE_ENV': '"production"',
  },
});
writeFileSync(join(root, 'public/sw.js'), outputFiles[0].contents);
console.log(
  `public/sw.js keeps ${views.length} kinds of pages and ${files.fixed.length + files.ofBuild.length} files of build ${id}.`,
);

// Builds what a browser is given: one script, one style sheet, and the interface's own faces.
import { build } from 'esbuild';
import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdirSync } from 'node:fs';

const out = 'wwwroot/built';
mkdirSync(out, { recursive: true });

await build({
  entryPoints: ['Client/app.ts'],
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  outfile: `${out}/app.js`,
  legalComments: 'none',
  logLevel: 'warning',
});

execFileSync('node_modules/.bin/tailwindcss', ['-i', 'Client/app.css', '-o', `${out}/app.css`, '--minify'], { stdio: ['ignore', 'ignore', 'inherit'] });

const faces = { 'hanken-grotesk': 'hanken-grotesk-latin-wght-normal', 'spline-sans-mono': 'spline-sans-mono-latin-wght-normal' };
for (const [family, file] of Object.entries(faces)) {
  copyFileSync(`node_modules/@fontsource-variable/${family}/files/${file}.woff2`, `${out}/${family}.woff2`);
}

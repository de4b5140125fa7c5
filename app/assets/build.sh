#!/bin/sh
# Builds public/ from app/assets and the npm packages. Run with `npm install && npm run build`; what it makes is committed,
# so that a running Rungs needs no Node.
set -eu
cd "$(dirname "$0")/../.."
bin=node_modules/.bin
scripts=app/assets/scripts
mkdir -p public/assets public/fonts

$bin/sass --no-source-map --style=compressed --load-path=node_modules --quiet-deps \
  --silence-deprecation=import,global-builtin,color-functions,if-function app/assets/styles/app.scss public/assets/app.css

# One file for each page that needs its own, and what they share once, under a name that changes with it.
rm -f public/assets/*.js
$bin/esbuild $scripts/pages.js $scripts/listen.js $scripts/check_in.js $scripts/groups.js $scripts/conduct.js $scripts/enter.js \
  $scripts/board.js $scripts/job.js $scripts/ear.js \
  --bundle --splitting --chunk-names=shared-[hash] --minify --format=esm --target=es2022 --legal-comments=inline \
  --outdir=public/assets --log-level=warning
$bin/esbuild $scripts/sw.js --minify --target=es2022 --outfile=public/sw.js --log-level=warning
cp node_modules/htmx.org/dist/htmx.min.js public/assets/htmx.js

andika=node_modules/@fontsource/andika/files/andika
sans=node_modules/@fontsource/source-sans-3/files/source-sans-3
for part in latin latin-ext; do
  for weight in 400 700; do
    cp $andika-$part-$weight-normal.woff2 public/fonts/
    # For PDF, as TrueType.
    node app/assets/ttf.mjs $andika-$part-$weight-normal.woff public/fonts/andika-$part-$weight.ttf
  done
  for weight in 400 600; do
    cp $sans-$part-$weight-normal.woff2 public/fonts/
    node app/assets/ttf.mjs $sans-$part-$weight-normal.woff public/fonts/source-sans-3-$part-$weight.ttf
  done
done

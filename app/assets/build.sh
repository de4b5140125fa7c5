#!/bin/sh
# Builds public/ from app/assets and the npm packages. Run with `npm install && npm run build`; what it makes is committed,
# so that a running Rungs needs no Node.
set -eu
cd "$(dirname "$0")/../.."
mkdir -p public/assets public/fonts
node_modules/.bin/sass --no-source-map --style=compressed --load-path=node_modules --quiet-deps --silence-deprecation=import,global-builtin,color-functions,if-function app/assets/styles/app.scss public/assets/app.css
cp node_modules/htmx.org/dist/htmx.min.js public/assets/htmx.js
cp app/assets/scripts/app.js app/assets/scripts/board.js app/assets/scripts/looks.js app/assets/scripts/drag.js public/assets/
cp app/assets/scripts/sw.js public/sw.js
cp node_modules/idb/build/umd.js public/assets/idb.js
for weight in 400 700; do for part in latin latin-ext; do
  cp node_modules/@fontsource/andika/files/andika-$part-$weight-normal.woff2 public/fonts/
done; done
for weight in 400 600; do for part in latin latin-ext; do
  cp node_modules/@fontsource/source-sans-3/files/source-sans-3-$part-$weight-normal.woff2 public/fonts/
done; done
# For PDF, as TrueType.
for weight in 400 700; do for part in latin latin-ext; do
  node app/assets/ttf.mjs node_modules/@fontsource/andika/files/andika-$part-$weight-normal.woff public/fonts/andika-$part-$weight.ttf
done; done
for weight in 400 600; do for part in latin latin-ext; do
  node app/assets/ttf.mjs node_modules/@fontsource/source-sans-3/files/source-sans-3-$part-$weight-normal.woff public/fonts/source-sans-3-$part-$weight.ttf
done; done

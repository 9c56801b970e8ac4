import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

/** What is worth packing: text and programs; pictures and fonts are packed already. */
const packable = /\.(?:js|css|html|svg|wasm|json|webmanifest)$/;
/** Below this a packed file is hardly smaller, bytes. A page comes in dozens of small ones, so together they count. */
const SMALLEST = 256;
/** Files above this are packed a little less tightly, bytes: the last percent would take as long as all else. */
const LARGE = 1_000_000;

const inBrotli = promisify(brotliCompress);
const inGzip = promisify(gzip);

async function pack(path) {
  const bytes = readFileSync(path);
  const quality = bytes.length > LARGE ? 9 : constants.BROTLI_MAX_QUALITY;
  const [brotli, zipped] = await Promise.all([
    inBrotli(bytes, {
      params: { [constants.BROTLI_PARAM_QUALITY]: quality, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length },
    }),
    inGzip(bytes, { level: 9 }),
  ]);
  writeFileSync(`${path}.br`, brotli);
  writeFileSync(`${path}.gz`, zipped);
}

/** Packs the files of a built page once, tightly, so that the server does not pack them anew for everybody. */
export async function packFiles(folder) {
  const paths = [];
  const visit = (at) => {
    for (const name of readdirSync(at)) {
      const path = join(at, name);
      const info = statSync(path);
      if (info.isDirectory()) visit(path);
      else if (packable.test(name) && info.size >= SMALLEST) paths.push(path);
    }
  };
  visit(folder);
  await Promise.all(paths.map(pack));
}

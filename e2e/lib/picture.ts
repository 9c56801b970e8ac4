import { join } from 'node:path';
import { temporaryFolder } from '../../scripts/lib/temporary.mjs';

/** A picture that nobody took, as a file. */
export async function picture(name: string): Promise<string> {
  const { default: sharp } = await import('sharp');
  const path = join(temporaryFolder('euporia-seen'), name);
  await sharp({ create: { width: 300, height: 200, channels: 3, background: '#2f5d62' } })
    .jpeg()
    .toFile(path);
  return path;
}

/** A landing that nobody photographed: a wall, a floor, a console, a door, drawn as a picture of 1600 by 1200 pixels. */
export async function landingPicture(name: string): Promise<string> {
  const { default: sharp } = await import('sharp');
  const path = join(temporaryFolder('euporia-landing'), name);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1600" height="1200">
    <rect width="1600" height="1200" fill="#e2dccd"/><polygon points="0,980 1600,940 1600,1200 0,1200" fill="#a98a63"/>
    <polygon points="420,700 1180,690 1180,760 420,774" fill="#8d6b4a"/>
    <polygon points="440,774 470,773 470,1010 440,1012" fill="#6d5035"/>
    <polygon points="1130,761 1160,760 1160,985 1130,988" fill="#6d5035"/></svg>`;
  await sharp(Buffer.from(svg)).jpeg({ quality: 92 }).toFile(path);
  return path;
}

/** A jug before a wall and on a table, drawn for the journeys: from 560 to 840 px of 1200, from 180 to 760 px of 900. */
export async function vasePicture(name: string): Promise<string> {
  const { default: sharp } = await import('sharp');
  const path = join(temporaryFolder('euporia-jug'), name);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900">
    <defs><linearGradient id="e" x1="0" x2="1"><stop offset="0" stop-color="#5c93b8"/><stop offset="1" stop-color="#2a5577"/></linearGradient></defs>
    <rect width="1200" height="900" fill="#d9d4c7"/><rect y="700" width="1200" height="200" fill="#a88a63"/>
    <path d="M630 180H770L760 260Q840 400 840 560Q840 700 780 760H620Q560 700 560 560Q560 400 640 260Z" fill="url(#e)"/></svg>`;
  await sharp(Buffer.from(svg)).jpeg({ quality: 92 }).toFile(path);
  return path;
}

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

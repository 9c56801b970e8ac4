import { existsSync } from 'node:fs';
import { installDebianPackages } from './debian.mjs';

/** Debian's Chromium and its driver, installed when missing. */
export function ensureBrowser() {
  const missing = [];
  if (!existsSync('/usr/bin/chromium')) missing.push('chromium');
  if (!existsSync('/usr/bin/chromedriver')) missing.push('chromium-driver');
  if (missing.length > 0) installDebianPackages('Chromium for the browser journeys', missing);
}

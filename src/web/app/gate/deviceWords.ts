/** Kinds of devices by what a browser says of itself; the first that fits. */
const devices: readonly (readonly [RegExp, string])[] = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android.*Mobile/, 'Android phone'],
  [/Android/, 'Android tablet'],
  [/Windows/, 'Windows computer'],
  [/Macintosh/, 'Mac'],
  [/Linux/, 'Linux computer'],
];

/** What a device is called in the list of devices, by what its browser says of itself. */
export const deviceWords = (userAgent: string): string =>
  devices.find(([pattern]) => pattern.test(userAgent))?.[1] ?? 'Device';

// Addresses under which other devices of the same network reach this machine.

/** Networks that are somebody's own: what is asked there does not leave the house. */
const isPrivate = (address) =>
  /^10\./.test(address) || /^192\.168\./.test(address) || /^172\.(1[6-9]|2\d|3[01])\./.test(address);

/**
 * The addresses of this machine in its own networks, those that are private first, each once.
 * @param interfaces as `os.networkInterfaces()` gives them
 */
export function lanAddresses(interfaces) {
  const found = Object.values(interfaces)
    .flatMap((entries) => entries ?? [])
    .filter(({ family, internal }) => (family === 'IPv4' || family === 4) && !internal)
    .map(({ address }) => address)
    // What a machine gave itself since nobody answered reaches nobody.
    .filter((address) => !address.startsWith('169.254.'));
  return [...new Set(found)].sort((a, b) => Number(isPrivate(b)) - Number(isPrivate(a)));
}

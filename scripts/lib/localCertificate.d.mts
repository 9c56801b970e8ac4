export function localCertificate(
  folder: string,
  of: { names: readonly string[]; addresses: readonly string[]; nowMs: number },
): Promise<{ certPath: string; keyPath: string; fingerprint: string; isNew: boolean }>;

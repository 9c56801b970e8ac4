import type { NetworkInterfaceInfo } from 'node:os';

export function lanAddresses(
  interfaces: Record<string, readonly Partial<NetworkInterfaceInfo>[] | undefined>,
): string[];

export function packagesAreThere(root: string): boolean;
export function ensureNodePackages(root: string): void;

/**
 * Every endpoint by name, with its method and address; what is asked and answered there stands in `endpoints.ts`. By
 * itself, since the page needs the addresses and of the rest only the types.
 */
export const addresses = {
  health: { method: 'get', path: '/api/health' },
  whoAmI: { method: 'get', path: '/api/me' },
  setUp: { method: 'post', path: '/api/set-up' },
  signIn: { method: 'post', path: '/api/sign-in' },
  useCode: { method: 'post', path: '/api/codes/use' },
  signOut: { method: 'post', path: '/api/sign-out' },
  confirm: { method: 'post', path: '/api/me/confirm' },
  setPassPhrase: { method: 'post', path: '/api/me/pass-phrase' },
  makeCode: { method: 'post', path: '/api/codes' },
  listSessions: { method: 'get', path: '/api/sessions' },
  endSession: { method: 'post', path: '/api/sessions/{sessionId}/end' },
  listPeople: { method: 'get', path: '/api/people' },
  addPerson: { method: 'post', path: '/api/people' },
  inviteAgain: { method: 'post', path: '/api/people/{personId}/code' },
  removePerson: { method: 'post', path: '/api/people/{personId}/remove' },
  listStudios: { method: 'get', path: '/api/studios' },
  beginEmpty: { method: 'post', path: '/api/studios/begin' },
  openStudio: { method: 'post', path: '/api/studios/{studioId}/open' },
  exportStudio: { method: 'get', path: '/api/studio/file' },
  importStudio: { method: 'put', path: '/api/studios/file' },
  listProjects: { method: 'get', path: '/api/projects' },
  readSnapshot: { method: 'get', path: '/api/projects/{projectId}/snapshot' },
  watchProject: { method: 'get', path: '/api/projects/{projectId}/watch' },
  exportProject: { method: 'get', path: '/api/projects/{projectId}/file' },
  copyProject: { method: 'post', path: '/api/projects/{projectId}/copy' },
  shareProject: { method: 'post', path: '/api/projects/{projectId}/links' },
  listLinks: { method: 'get', path: '/api/projects/{projectId}/links' },
  endLink: { method: 'post', path: '/api/projects/{projectId}/links/{linkId}/end' },
  readSheet: { method: 'post', path: '/api/sheet' },
  readSheetPhoto: { method: 'post', path: '/api/sheet/photo' },
  runCommand: { method: 'post', path: '/api/commands' },
  putPhoto: { method: 'put', path: '/api/photos/{photoId}' },
  readPhoto: { method: 'get', path: '/api/photos/{photoId}/{size}' },
  readHouse: { method: 'get', path: '/api/house' },
  listPieces: { method: 'get', path: '/api/house/pieces' },
  rankForSlot: { method: 'get', path: '/api/projects/{projectId}/slots/{slotId}/fits' },
  listRisers: { method: 'get', path: '/api/house/risers' },
  readPanels: { method: 'get', path: '/api/house/panels' },
  previewHouseImport: { method: 'post', path: '/api/house/import/preview' },
  startJob: { method: 'post', path: '/api/jobs' },
  listJobs: { method: 'get', path: '/api/jobs' },
  readJob: { method: 'get', path: '/api/jobs/{jobId}' },
  cancelJob: { method: 'post', path: '/api/jobs/{jobId}/cancel' },
  listBills: { method: 'get', path: '/api/bills' },
  exportHouse: { method: 'get', path: '/api/house/file/{kind}' },
} as const;

export type EndpointName = keyof typeof addresses;

/** The places of an address that are filled in: `{projectId}` and the like. */
export type Places<Path extends string> = Path extends `${string}{${infer Name}}${infer Rest}`
  ? Name | Places<Rest>
  : never;
export type PlacesOf<N extends EndpointName> = Places<(typeof addresses)[N]['path']>;

/**
 * The address of an endpoint with its places filled in, and what is asked behind it; what is empty is not asked.
 * @example addressOf('readPhoto', { photoId: 'p', size: 'full' }) // '/api/photos/p/full'
 */
export function addressOf<N extends EndpointName>(
  name: N,
  places: { readonly [P in PlacesOf<N>]: string },
  query: object = {},
): string {
  const filled = addresses[name].path.replace(/\{(\w+)\}/g, (_whole, place: string) =>
    encodeURIComponent((places as Readonly<Record<string, string>> | undefined)?.[place] ?? ''),
  );
  const asked = Object.entries(query)
    .filter(([, value]) => value !== undefined && value !== null && value !== '')
    .map(([key, value]) => `${encodeURIComponent(key)}=${encodeURIComponent(String(value))}`)
    .join('&');
  return asked === '' ? filled : `${filled}?${asked}`;
}

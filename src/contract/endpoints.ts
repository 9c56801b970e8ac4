import { houseTables } from '@core/formats/house/planImport';
import { z } from 'zod';
import type { EndpointName, PlacesOf } from './addresses';
import {
  doneAnswer,
  houseAnswer,
  importedAnswer,
  photoAnswer,
  projectListAnswer,
  snapshotAnswer,
  studiosAnswer,
} from './answers';
import { billsAnswer } from './bills';
import { commandSchema } from './command';
import {
  fitAnswer,
  houseImportSchema,
  housePanelsAnswer,
  housePreviewAnswer,
  pageSchema,
  piecePageAnswer,
  pieceQuerySchema,
  riserAnswer,
  riserQuerySchema,
} from './house';
import {
  addPersonSchema,
  codeAnswer,
  confirmSchema,
  peopleAnswer,
  personCodeAnswer,
  sessionsAnswer,
  setPassPhraseSchema,
  setUpSchema,
  signInSchema,
  useCodeSchema,
  whoAnswer,
} from './identity';
import { jobAnswer, jobsAnswer, startJobSchema } from './jobs';
import { linksAnswer, sharedAnswer, shareSchema, sheetAnswer, sheetPhotoSchema, sheetSchema } from './sheet';

/** What is asked and answered at one address. Refusals are the same everywhere. */
export interface Endpoint {
  /** What a good answer is, in words. */
  says: string;
  places?: z.ZodObject;
  query?: z.ZodObject;
  body?: z.ZodType;
  /** A picture is sent, as it is. */
  picture?: true;
  /** An archive is sent, as it is. */
  archive?: true;
  /** The form of a good answer; none where it is no JSON. */
  answer?: z.ZodType;
  /** Says its state (ETag), and nothing else to who has that state already. */
  unchanged?: true;
}

/** How a project is copied: whole; its spots for the next season; its spots for another room. */
export const copyKinds = ['duplicate', 'nextSeason', 'pattern'] as const;
export type CopyKind = (typeof copyKinds)[number];

const projectId = z.uuid({ error: 'the id of a project' });
const jobId = z.uuid({ error: 'the id of a long work' });
const photoId = z.uuid({ error: 'an id made by the device (UUID)' });
const name = 'text of 1 to 120 characters';

/** Every endpoint: the routes of the server, the calls of the page and the OpenAPI document are made from this. */
export const endpoints = {
  health: { says: 'All is ready', answer: z.object({ ready: z.boolean() }) },
  whoAmI: { says: 'Who asks, and what they are here', answer: whoAnswer },
  setUp: {
    says: 'The studio has an owner, who is signed in',
    body: setUpSchema,
    answer: whoAnswer,
  },
  signIn: { says: 'Signed in on this device', body: signInSchema, answer: whoAnswer },
  useCode: { says: 'The device that used the code is signed in', body: useCodeSchema, answer: whoAnswer },
  signOut: { says: 'Signed out on this device', body: z.strictObject({}), answer: whoAnswer },
  confirm: { says: 'What wants confirming may be done for a while', body: confirmSchema, answer: whoAnswer },
  setPassPhrase: { says: 'That is the pass phrase from now on', body: setPassPhraseSchema, answer: whoAnswer },
  makeCode: { says: 'A code for another device of who asks', body: z.strictObject({}), answer: codeAnswer },
  listSessions: { says: 'Devices that are signed in', answer: sessionsAnswer },
  endSession: {
    says: 'That device is signed out',
    places: z.object({ sessionId: z.uuid({ error: 'the id of a device' }) }),
    body: z.strictObject({}),
    answer: sessionsAnswer,
  },
  listPeople: { says: 'Who may come in', answer: peopleAnswer },
  addPerson: {
    says: 'Somebody more may come in, by a code',
    body: addPersonSchema,
    answer: personCodeAnswer,
  },
  inviteAgain: {
    says: 'A code for another device of somebody, who may have lost theirs',
    places: z.object({ personId: z.uuid({ error: 'the id of a person' }) }),
    body: z.strictObject({}),
    answer: personCodeAnswer,
  },
  removePerson: {
    says: 'That person may come in no more; their devices are signed out',
    places: z.object({ personId: z.uuid({ error: 'the id of a person' }) }),
    body: z.strictObject({}),
    answer: peopleAnswer,
  },
  listStudios: { says: 'All studios, the open one first', answer: studiosAnswer },
  beginEmpty: {
    says: 'A studio with nothing in it is open; the others stay as they are',
    body: z.strictObject({}),
    answer: studiosAnswer,
  },
  openStudio: {
    says: 'That studio is open',
    places: z.object({ studioId: z.uuid({ error: 'the id of a studio' }) }),
    body: z.strictObject({}),
    answer: studiosAnswer,
  },
  exportStudio: { says: 'All of the studio as one file: a ZIP archive of JSON and pictures' },
  importStudio: {
    says: 'Brought in as a studio of its own, which is open now',
    archive: true,
    answer: studiosAnswer,
  },
  listProjects: {
    says: 'A page of projects, last touched first',
    query: z.object({
      limit: z.coerce.number().int().min(1).max(200).default(50),
      offset: z.coerce.number().int().min(0).default(0),
    }),
    answer: projectListAnswer,
  },
  readSnapshot: {
    says: 'All rows of the project; ETag is its revision',
    places: z.object({ projectId }),
    answer: snapshotAnswer,
    unchanged: true,
  },
  watchProject: {
    says: 'Each change as it happens: an event with the new state, and who made it',
    places: z.object({ projectId }),
  },
  exportProject: { says: 'The project file, to be kept', places: z.object({ projectId }) },
  copyProject: {
    says: 'Copied, as a project of its own',
    places: z.object({ projectId }),
    body: z.strictObject({
      id: z.uuid({ error: 'an id made by the device (UUID)' }),
      kind: z.enum(copyKinds, { error: `one of ${copyKinds.join(', ')}` }),
      name: z.string({ error: name }).trim().min(1, name).max(120, name),
      /** The room that it is for, where it is another. */
      room: z.string({ error: 'text of at most 120 characters' }).trim().max(120).optional(),
    }),
    answer: importedAnswer,
  },
  listBills: {
    says: 'The bills of all projects, the latest first',
    query: pageSchema,
    answer: billsAnswer,
  },
  shareProject: {
    says: 'A link to the project’s sheet, told once',
    places: z.object({ projectId }),
    body: shareSchema,
    answer: sharedAnswer,
  },
  listLinks: {
    says: 'Links to the project’s sheet that are good still',
    places: z.object({ projectId }),
    answer: linksAnswer,
  },
  endLink: {
    says: 'That link opens nothing any more',
    places: z.object({ projectId, linkId: z.uuid({ error: 'the id of a link' }) }),
    body: z.strictObject({}),
    answer: linksAnswer,
  },
  readSheet: { says: 'What the link shows: one project, nothing else', body: sheetSchema, answer: sheetAnswer },
  readSheetPhoto: { says: 'A photo that the link shows', body: sheetPhotoSchema },
  runCommand: { says: 'Done; rows as they are now', body: commandSchema, answer: doneAnswer },
  putPhoto: {
    says: 'Kept upright, without tags, with a thumbnail',
    places: z.object({ photoId }),
    query: z.object({ name: z.string().max(200, 'text of at most 200 characters').default('') }),
    picture: true,
    answer: photoAnswer,
  },
  readPhoto: {
    says: 'The picture; it never changes',
    places: z.object({ photoId, size: z.enum(['full', 'thumbnail'], { error: 'full or thumbnail' }) }),
  },
  readHouse: { says: 'The studio’s shared rows; ETag is their revision', answer: houseAnswer, unchanged: true },
  listPieces: {
    says: 'A page of the stash',
    query: pieceQuerySchema.extend(pageSchema.shape),
    answer: piecePageAnswer,
  },
  rankForSlot: {
    says: 'The stash ranked for a slot, with reasons',
    places: z.object({ projectId, slotId: z.uuid({ error: 'the id of a slot' }) }),
    query: pageSchema,
    answer: fitAnswer,
  },
  listRisers: { says: 'Owned risers that make up a height', query: riserQuerySchema, answer: riserAnswer },
  readPanels: { says: 'What there is, what sleeps, what goes back', answer: housePanelsAnswer },
  previewHouseImport: {
    says: 'What the file would do, line by line; nothing is written',
    body: houseImportSchema,
    answer: housePreviewAnswer,
  },
  startJob: {
    says: 'Noted; it is done as soon as a hand is free, and goes on without the page',
    body: startJobSchema,
    answer: jobAnswer,
  },
  listJobs: { says: 'Long work of late, the latest first', answer: jobsAnswer },
  readJob: { says: 'How far a long work is, and what came of it', places: z.object({ jobId }), answer: jobAnswer },
  cancelJob: {
    says: 'A long work that had not ended yet is given up; what it wrote is gone with it',
    places: z.object({ jobId }),
    body: z.strictObject({}),
    answer: jobAnswer,
  },
  exportHouse: {
    says: 'The table as CSV',
    places: z.object({ kind: z.enum(houseTables, { error: `one of ${houseTables.join(', ')}` }) }),
    query: houseImportSchema.pick({ units: true, currency: true }),
  },
} as const satisfies {
  [N in EndpointName]: Endpoint &
    ([PlacesOf<N>] extends [never] ? unknown : { places: z.ZodObject<Record<PlacesOf<N>, z.ZodType>> });
};

export type Endpoints = typeof endpoints;

type Output<N extends EndpointName, Part extends keyof Endpoint> = Endpoints[N] extends {
  [P in Part]: infer S extends z.ZodType;
}
  ? z.output<S>
  : never;

/** What an endpoint answers when all is well. */
export type AnswerOf<N extends EndpointName> = Output<N, 'answer'>;

type Given<Key extends string, Value> = [Value] extends [never] ? unknown : { [K in Key]: Value };

/** What a handler is given: all of it read by the schemas, with what was left out filled in. */
export type ReadRequest<N extends EndpointName> = Given<'places', Output<N, 'places'>> &
  Given<'query', Output<N, 'query'>> &
  Given<'body', Output<N, 'body'>>;

type Asked<Query> = { readonly [K in keyof Query]?: Query[K] | null };
/** What somebody asks with: what has a default may be left out, and null asks nothing. */
export type Request<N extends EndpointName> = Given<'places', Output<N, 'places'>> &
  ([Output<N, 'query'>] extends [never] ? unknown : { query?: Asked<Output<N, 'query'>> }) &
  Given<'body', Endpoints[N] extends { body: infer S extends z.ZodType } ? z.input<S> : never>;

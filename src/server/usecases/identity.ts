import type { EndpointName } from '@contract/addresses';
import type { ErrorCode } from '@contract/errors';
import type { WhoAnswer } from '@contract/identity';
import { mayDo, permissions, wantsConfirming } from '@contract/permissions';
import { checkNobody, hashOf, isPhraseOf } from '../identity/passPhrase';
import { kept, newCode, newToken, shownCode, typedCode } from '../identity/secrets';
import type { Database } from '../persistence/database';
import {
  addAttempt,
  addCode,
  addPerson,
  addSession,
  addSetUpCode,
  attemptsSince,
  changeSession,
  hasOwner,
  isSetUpCode,
  type Person,
  peopleCalled,
  peopleOf,
  removePerson,
  type Session,
  sessionByToken,
  sessionsOf,
  setPassHash,
  takeCode,
} from '../persistence/people';
import { Refusal, refused } from './answer';
import type { Environment } from './environment';

/** Who asks: whoever is at this machine where nothing else reaches it, somebody signed in, or nobody that is known. */
export type Asker = { kind: 'local' } | { kind: 'person'; session: Session } | { kind: 'stranger' };

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;
/** A device stays signed in so long; one that is not used for that long has to sign in again. */
export const SESSION_MS = 90 * DAY_MS;
/** A code for a phone beside one is good for five minutes, an invitation for a week. */
const PAIRING_MS = 5 * MINUTE_MS;
const INVITATION_MS = 7 * DAY_MS;
/** What is confirmed by the pass phrase stays so for ten minutes. */
const CONFIRMED_MS = 10 * MINUTE_MS;
/** So many tries that fail, in so long: then nobody is let try for a while. */
const MOST_TRIES = 10;
const TRIES_MS = 15 * MINUTE_MS;
/** Tries are counted by the name that was given, too. */
const NAME_KEY = 'name ';
/** That a device was seen is noted no more often than this. */
const SEEN_EVERY_MS = 5 * MINUTE_MS;

/** What somebody who comes in gets: the token that their device keeps, and who they are. */
export interface LetIn {
  token: string;
  session: Session;
}

/** Who may come in, and what they may do here. */
export class Identity {
  private readonly database: Database;
  private readonly environment: Environment;
  private readonly log: (line: string) => void;
  /** Whether anybody is asked who they are: as soon as other machines reach the server. */
  readonly isAsked: boolean;

  constructor(database: Database, environment: Environment, isAsked: boolean, log: (line: string) => void) {
    this.log = log;
    this.database = database;
    this.environment = environment;
    this.isAsked = isAsked;
  }

  private now(): Date {
    return new Date(this.environment.nowMs());
  }

  /** A code for setting up, to be told where the server was started; null where it is set up already. */
  async setUpCode(): Promise<string | null> {
    if (!this.isAsked || (await hasOwner(this.database))) return null;
    const code = newCode();
    await addSetUpCode(this.database, kept(code));
    return shownCode(code);
  }

  /** Who asks with a token. */
  async askerOf(token: string | undefined): Promise<Asker> {
    if (!this.isAsked) return { kind: 'local' };
    if (token === undefined || token === '') return { kind: 'stranger' };
    const now = this.now();
    const session = await sessionByToken(this.database, kept(token), now);
    if (!session) return { kind: 'stranger' };
    if (now.getTime() - session.seenAtMs > SEEN_EVERY_MS)
      await changeSession(this.database, { studioId: session.person.studioId, id: session.id }, { seenAt: now });
    return { kind: 'person', session };
  }

  /** Whether somebody who was let in still is: streams that stay open ask again. */
  async isStillIn(asker: Asker): Promise<boolean> {
    if (asker.kind !== 'person') return asker.kind === 'local';
    const { id, person } = asker.session;
    const going = await sessionsOf(this.database, { studioId: person.studioId, personId: person.id, now: this.now() });
    return going.some((session) => session.id === id);
  }

  /** Why somebody may not ask at an endpoint; null where they may. */
  refusalFor(asker: Asker, name: EndpointName): ErrorCode | null {
    const permission = permissions[name];
    if (permission.for === 'anyone' || asker.kind === 'local') return null;
    if (asker.kind === 'stranger') return 'signIn.required';
    if (!permission.for.includes(asker.session.person.role)) return 'forbidden';
    return permission.confirmed && !this.isConfirmed(asker.session) ? 'confirm.required' : null;
  }

  /** Why somebody may not do an act; null where they may. */
  refusalForAct(asker: Asker, kind: string): ErrorCode | null {
    if (asker.kind !== 'person') return asker.kind === 'local' ? null : 'signIn.required';
    if (!mayDo(asker.session.person.role, kind)) return 'forbidden';
    return wantsConfirming(kind) && !this.isConfirmed(asker.session) ? 'confirm.required' : null;
  }

  private isConfirmed({ confirmedAtMs }: Session): boolean {
    return confirmedAtMs !== null && this.environment.nowMs() - confirmedAtMs < CONFIRMED_MS;
  }

  /** Who asks, in words for the page. */
  async who(asker: Asker): Promise<Omit<WhoAnswer, 'address'>> {
    if (asker.kind === 'person') {
      const { id, name, role, passHash } = asker.session.person;
      const { studio } = asker.session;
      return { access: 'signedIn', person: { id, name, role }, hasPassPhrase: passHash !== null, studio };
    }
    const access = asker.kind === 'local' ? 'local' : (await hasOwner(this.database)) ? 'signedOut' : 'setUp';
    return { access, person: null, hasPassPhrase: false, studio: null };
  }

  /** Makes the owner of a studio, with the code that was told where the server was started. */
  async setUp(
    studioId: string,
    of: { code: string; name: string; passPhrase: string; device: string; from: string },
  ): Promise<LetIn> {
    await this.countedTry(`set-up ${of.from}`);
    if (await hasOwner(this.database)) throw new Refusal(refused('code.refused'));
    if (!(await isSetUpCode(this.database, kept(typedCode(of.code))))) return this.failed(`set-up ${of.from}`);
    const passHash = await hashOf(of.passPhrase);
    const person: Person = { studioId, id: this.environment.newId(), name: of.name, role: 'owner', passHash };
    await addPerson(this.database, person);
    return this.letIn(person, of.device, true);
  }

  /** Lets in who says their name and pass phrase. */
  async signIn(of: { name: string; passPhrase: string; device: string; from: string }): Promise<LetIn> {
    const keys = [`${NAME_KEY}${of.name.toLowerCase()}`, `from ${of.from}`];
    for (const key of keys) await this.countedTry(key);
    const people = await peopleCalled(this.database, of.name);
    for (const person of people)
      if (person.passHash !== null && (await isPhraseOf(of.passPhrase, person.passHash)))
        return this.letIn(person, of.device, true);
    if (people.length === 0) await checkNobody(of.passPhrase);
    for (const key of keys) await this.missed(key);
    throw new Refusal(refused('signIn.refused'));
  }

  /** Lets a device in by a code, once. */
  async useCode(of: { code: string; device: string; from: string }): Promise<LetIn> {
    const key = `code ${of.from}`;
    await this.countedTry(key);
    const person = await takeCode(this.database, kept(typedCode(of.code)), this.now());
    return person ? this.letIn(person, of.device, false) : this.failed(key);
  }

  /** A code for another device of somebody. */
  async makeCode(person: Person, forMs = PAIRING_MS): Promise<{ code: string; untilMs: number }> {
    const code = newCode();
    const now = this.now();
    const expiresAt = new Date(now.getTime() + forMs);
    await addCode(this.database, { id: this.environment.newId(), person, codeHash: kept(code), now, expiresAt });
    return { code: shownCode(code), untilMs: expiresAt.getTime() };
  }

  /** One more person, with the code that lets them in the first time. */
  async invite(studioId: string, of: Pick<Person, 'name' | 'role'>) {
    const person: Person = { studioId, id: this.environment.newId(), ...of, passHash: null };
    await addPerson(this.database, person);
    const { id, name, role } = person;
    return { ...(await this.makeCode(person, INVITATION_MS)), person: { id, name, role } };
  }

  /** Lets somebody in anew, who has no device left and maybe no pass phrase. */
  async inviteAgain(studioId: string, personId: string) {
    const person = await this.otherThanOwner(studioId, personId);
    const { id, name, role } = person;
    return { ...(await this.makeCode(person, INVITATION_MS)), person: { id, name, role } };
  }

  /** Somebody whom the owner let in; what the owner themselves may do they do as themselves. */
  private async otherThanOwner(studioId: string, personId: string): Promise<Person> {
    const person = (await peopleOf(this.database, studioId)).find(({ id }) => id === personId);
    if (!person) throw new Refusal(refused('notFound'));
    if (person.role === 'owner') throw new Refusal(refused('forbidden'));
    return person;
  }

  /** Takes somebody out; the owner stays, since nobody else could let anybody in. */
  async remove(studioId: string, personId: string): Promise<void> {
    await this.otherThanOwner(studioId, personId);
    await removePerson(this.database, studioId, personId, this.now());
  }

  async people(studioId: string) {
    const [people, sessions] = await Promise.all([
      peopleOf(this.database, studioId),
      sessionsOf(this.database, { studioId, personId: null, now: this.now() }),
    ]);
    return people.map(({ id, name, role, passHash }) => ({
      id,
      name,
      role,
      hasPassPhrase: passHash !== null,
      devices: sessions.filter(({ person }) => person.id === id).length,
    }));
  }

  /** Devices that somebody may see: their own, the owner all of the studio. */
  async sessions({ id: ownId, person }: Session) {
    const personId = person.role === 'owner' ? null : person.id;
    const found = await sessionsOf(this.database, { studioId: person.studioId, personId, now: this.now() });
    return found.map(({ id, device, person: whose, createdAtMs, seenAtMs }) => ({
      id,
      device,
      person: whose.name,
      isThis: id === ownId,
      sinceMs: createdAtMs,
      seenMs: seenAtMs,
    }));
  }

  /** Signs a device out: an own one, or as the owner any of the studio. */
  async endSession(of: Session, sessionId: string): Promise<void> {
    const may = (await this.sessions(of)).some(({ id }) => id === sessionId);
    if (!may) throw new Refusal(refused('notFound'));
    await changeSession(this.database, { studioId: of.person.studioId, id: sessionId }, { endedAt: this.now() });
  }

  /** Confirms by the pass phrase of whoever is signed in, or of the owner beside them. */
  async confirm({ id, person }: Session, passPhrase: string): Promise<void> {
    const key = `confirm ${person.id}`;
    await this.countedTry(key);
    const owners = (await peopleOf(this.database, person.studioId)).filter(({ role }) => role === 'owner');
    for (const { passHash } of [person, ...owners])
      if (passHash !== null && (await isPhraseOf(passPhrase, passHash)))
        return changeSession(this.database, { studioId: person.studioId, id }, { confirmedAt: this.now() });
    await this.missed(key);
    throw new Refusal(refused('signIn.refused'));
  }

  /** Gives somebody a pass phrase of their own, or another one: then the present one is asked for. */
  async setPassPhrase({ person }: Session, passPhrase: string, present: string | null): Promise<void> {
    if (person.passHash !== null) {
      const key = `confirm ${person.id}`;
      await this.countedTry(key);
      if (present === null || !(await isPhraseOf(present, person.passHash))) return this.failed(key, 'signIn.refused');
    }
    await setPassHash(this.database, person, await hashOf(passPhrase));
  }

  private async letIn(person: Person, device: string, isConfirmed: boolean): Promise<LetIn> {
    const token = newToken();
    this.log(`let in: ${person.name}, on ${device}`);
    const now = this.now();
    const expiresAt = new Date(now.getTime() + SESSION_MS);
    const id = this.environment.newId();
    await addSession(this.database, { id, person, tokenHash: kept(token), device, now, expiresAt, isConfirmed });
    const session = await sessionByToken(this.database, kept(token), now);
    if (!session) throw new Refusal(refused('signIn.required'));
    return { token, session };
  }

  /** What a secret opens; tries that open nothing are counted, like those of codes. */
  async opened<T>(from: string, open: () => Promise<T | null>): Promise<T> {
    const key = `link ${from}`;
    await this.countedTry(key);
    return (await open()) ?? this.failed(key, 'notFound');
  }

  /** @throws Refusal where there were too many tries that failed */
  private async countedTry(key: string): Promise<void> {
    const since = new Date(this.environment.nowMs() - TRIES_MS);
    if ((await attemptsSince(this.database, key, since)) >= MOST_TRIES) throw new Refusal(refused('attempts.tooMany'));
  }

  private async failed(key: string, code: ErrorCode = 'code.refused'): Promise<never> {
    await this.missed(key);
    throw new Refusal(refused(code));
  }

  /** Counts a try that failed, and says so in the log; not the name, where a pass phrase is typed by mistake now and then. */
  private async missed(key: string): Promise<void> {
    await addAttempt(this.database, this.environment.newId(), key, this.now());
    if (!key.startsWith(NAME_KEY)) this.log(`not let in: ${key}`);
  }
}

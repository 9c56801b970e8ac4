import { parentPort, workerData } from 'node:worker_threads';
import type { SearchAsk } from './search';
import { searchHere } from './searchHere';

/** A search in a thread of its own: it is given what to search, and says what it found. */
void searchHere(workerData as SearchAsk).then((answer) => parentPort?.postMessage(answer));

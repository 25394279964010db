/** Lookups beside the page, so that typing never waits for them. */
import { expose } from 'comlink';
import { makeLookups } from './lookups.js';

expose(makeLookups());

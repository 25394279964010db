/** How this program is set up: where its files are, and what it works with. Given once, when it starts. */
import { dirname, join } from 'node:path';
import type { DatabaseConnector } from '../connectors/databaseConnector.js';
import type { XmlParsers } from '../connectors/sru/xmlParser.js';
import { WATCH_TIMES, type WatchTimes } from './watchTimes.js';

export interface Settings {
  /** path of the SQLite file */
  storePath: string;
  /** the databases that ship with the program, by their ids */
  connectors: ReadonlyMap<string, DatabaseConnector>;
  /** folder of the server's compiled programs, where those of worker threads lie */
  programs: string;
  /** folder of the built interface, or null to serve the API alone */
  webFolder: string | null;
  /** whether servers on this machine and its networks may be added by their address */
  privateAddresses?: boolean;
  /** how databases are watched, where it is not as usual */
  watchTimes?: WatchTimes;
  /** what parses the answers of servers that people add; in this thread where it is not given */
  xml?: XmlParsers;
  quiet?: boolean;
}

export class Configuration {
  constructor(private readonly settings: Settings) {}

  get shippedDatabases(): ReadonlyMap<string, DatabaseConnector> {
    return this.settings.connectors;
  }

  get watchTimes(): WatchTimes {
    return this.settings.watchTimes ?? WATCH_TIMES;
  }

  /** How servers that people add are called. */
  get addedServers(): { publicOnly: boolean; xml?: XmlParsers } {
    const { privateAddresses = false, xml } = this.settings;
    return { publicOnly: !privateAddresses, ...(xml === undefined ? {} : { xml }) };
  }

  /** Where files lie while they are read; emptied at every start. */
  get incomingFolder(): string {
    return join(dirname(this.settings.storePath), 'incoming');
  }

  /** Where the files are that are content: designs, rules, points of a peer review. */
  get contentFolder(): string {
    return join(this.settings.programs, '..', '..', 'core', 'content');
  }

  /** What the handlers answer with, as JSON Schema; made by `npm run answers`. */
  get answersFile(): string {
    return join(this.settings.programs, '..', 'answers.schema.json');
  }

  /** The path of a program for worker threads. @param name its path within the server, without an ending */
  program(name: string): string {
    return join(this.settings.programs, `${name}.js`);
  }
}

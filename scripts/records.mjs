// Makes the stand-ins' records and indexes once, where browser tests look for them: each test would make them otherwise.
import { join } from 'node:path';
import { root } from './prepare.mjs';

const { openDatabases } = await import(join(root, 'standins', 'dist', 'application.js'));
const databases = openDatabases({
  contentFolder: join(root, 'standins', 'content'),
  dataFolder: join(root, 'node_modules', '.cache', 'even-lantern', 'standins'),
});
for (const database of databases) database.present();

/** Looks a package through in a worker thread. Loaded by path, not imported. */
import { packageInFile, type PackageRead, type PackageTask } from './packageInFile.js';

export default function look(task: PackageTask): Promise<PackageRead> {
  return packageInFile(task);
}

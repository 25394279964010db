import { toast } from 'sonner';

const MOST_BYTES = 2_000_000;

/**
 * What a file of JSON holds.
 * @param what the file should be, as in “This file is too large to be lanes.”
 * @returns undefined where it cannot be read, which has been told then
 */
export async function jsonFrom(file: File, what: string): Promise<unknown> {
  if (file.size > MOST_BYTES) {
    toast.error(`This file is too large to be ${what}. Nothing was added.`);
    return undefined;
  }
  try {
    return JSON.parse(await file.text()) as unknown;
  } catch {
    toast.error('This file is not JSON. Nothing was added.');
    return undefined;
  }
}

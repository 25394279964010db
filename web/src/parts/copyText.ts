import { toast } from 'sonner';

/**
 * Puts a text on the clipboard, and says so.
 * @param copied what is said then
 * @param instead what to do where the browser does not allow it
 */
export function copyText(text: string, copied: string, instead: string): void {
  navigator.clipboard.writeText(text).then(
    () => toast(copied),
    () => toast.error(`The browser does not allow copying. ${instead}`),
  );
}

/** The text of an answer in whatever encoding it came: as its header says, or the XML itself, or else UTF-8. */

/** How far the XML declaration is looked for, in bytes. */
const DECLARATION_BYTES = 200;

/**
 * @param contentType the header, which goes before what the XML says of itself (RFC 7303, section 3.2), where it names
 *   an encoding; a byte order mark goes before both
 */
export function textOf(bytes: Uint8Array, contentType: string): string {
  const label = markedEncoding(bytes) ?? charsetIn(contentType) ?? declaredEncoding(bytes) ?? 'utf-8';
  return decoderFor(label).decode(bytes);
}

function decoderFor(label: string) {
  try {
    return new TextDecoder(label);
  } catch {
    // A name that nobody knows: most likely it is UTF-8 all the same.
    return new TextDecoder();
  }
}

/** As a byte order mark tells it. */
export function markedEncoding([first, second, third]: Uint8Array): string | null {
  if (first === 0xef && second === 0xbb && third === 0xbf) return 'utf-8';
  if (first === 0xff && second === 0xfe) return 'utf-16le';
  if (first === 0xfe && second === 0xff) return 'utf-16be';
  return null;
}

function charsetIn(contentType: string): string | null {
  return /;\s*charset\s*=\s*"?([^\s";]+)/i.exec(contentType)?.[1] ?? null;
}

/** As an XML declaration tells it. */
export function declaredEncoding(bytes: Uint8Array): string | null {
  const start = new TextDecoder('latin1').decode(bytes.subarray(0, DECLARATION_BYTES)).replaceAll('\0', '');
  return /^\s*<\?xml[^>]*\sencoding\s*=\s*["']([\w.:-]+)["']/.exec(start)?.[1] ?? null;
}

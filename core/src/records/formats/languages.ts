/** Languages by their names, as databases tell them, and by their codes, as formats want them (BCP 47). */

const NAMES = new Intl.DisplayNames(['en'], { type: 'language', fallback: 'none' });
let codes: ReadonlyMap<string, string> | null = null;

/** The codes of two letters (ISO 639-1), by what each is called in English. */
function codesByName(): ReadonlyMap<string, string> {
  if (codes !== null) return codes;
  const letters = [...'abcdefghijklmnopqrstuvwxyz'];
  const pairs = letters.flatMap((first) => letters.map((second) => first + second));
  const found = new Map<string, string>();
  for (const code of pairs) {
    const name = NAMES.of(code)?.toLowerCase();
    // Some are written in two ways; the one that stands for itself is taken.
    if (name !== undefined && !found.has(name) && canonical(code) === code) found.set(name, code);
  }
  codes = found;
  return found;
}

/** The code of a language that is told by its name or its code; null where nobody knows it. */
export function languageCode(language: string): string | null {
  const told = language.trim();
  const code = codesByName().get(told.toLowerCase());
  if (code !== undefined) return code;
  const tag = canonical(told);
  return tag !== null && NAMES.of(tag) !== undefined ? tag : null;
}

/** What a language is called that is told by its code; what is told by anything else stays as it is. */
export function languageName(language: string): string {
  const told = language.trim();
  const tag = canonical(told);
  return (tag === null ? undefined : NAMES.of(tag)) ?? told;
}

function canonical(tag: string): string | null {
  if (!/^[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*$/.test(tag)) return null;
  try {
    return Intl.getCanonicalLocales(tag)[0] ?? null;
  } catch {
    return null;
  }
}

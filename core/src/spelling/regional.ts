/**
 * British and American spellings of English words. The rules are those any dictionary of both gives; each works on
 * the letters alone and so may also make a word that nobody writes. Callers show only what an index holds.
 */

/** Words that end in -ise on both sides of the ocean. */
const ALWAYS_ISE =
  /^(?:exerc|adv|dev|rev|superv|surpr|prom|comprom|prec|conc|exc|inc|circumc|expert|enterpr|prem|pra|appra|ra|no|po|pract|franch|telev|improv|desp|disgu|merchand|ar|sunr|likew|otherw|clockw|cru|bru|gu|advert|porpo|torto|dem|chem|w|r|v)is(?:e|es|ed|er|ers|ing)$/;

/** From British to American; what is found is replaced once. */
const RULES: readonly (readonly [british: RegExp, american: string, americanForm: RegExp, british: string])[] = [
  [/is(e|es|ed|er|ers|ing|ation|ations|ational)$/, 'iz$1', /(?<=[a-z]{3})(?<!res|caps|outs|overs|unders|downs)iz(e|es|ed|er|ers|ing|ation|ations|ational)$/, 'is$1'],
  [/lys(e|es|ed|er|ers|ing)$/, 'lyz$1', /lyz(e|es|ed|er|ers|ing)$/, 'lys$1'],
  [
    /^(behavi|col|fav|lab|od|rum|tum|hum|vap|vig|rig|harb|neighb|hon|parl|sav|fl)our/,
    '$1or',
    /^(behavi|col|fav|lab|od|rum|tum|hum|vap|vig|harb|neighb|hon|parl|sav|fl)or/,
    '$1our',
  ],
  [
    /(cent|fib|lit|calib|theat|tit|sab|goit|oct|kilomet|millimet|centimet|micromet|^met|nanomet)re(s?)$/,
    '$1er$2',
    /(cent|fib|lit|calib|theat|tit|sab|goit|kilomet|millimet|centimet|micromet|^met|nanomet)er(s?)$/,
    '$1re$2',
  ],
  [/haem/, 'hem', /^hem(?=[aot])/, 'haem'],
  [/aem(?=i)/, 'em', /(?<=[a-z]{2})em(?=i(?:a|c)\b)/, 'aem'],
  [/paed/, 'ped', /^ped(?=ia|o)|(?<=ortho)ped/, 'paed'],
  [/anaesth/, 'anesth', /anesth/, 'anaesth'],
  [/gynaec/, 'gynec', /gynec/, 'gynaec'],
  [/aetiol/, 'etiol', /^etiol/, 'aetiol'],
  [/^ageing/, 'aging', /^aging/, 'ageing'],
  [/caesar/, 'cesar', /^cesar/, 'caesar'],
  [/^faec/, 'fec', /^fec(?=al|es)/, 'faec'],
  [/oesoph/, 'esoph', /^esoph/, 'oesoph'],
  [/oestr/, 'estr', /^estr(?=ogen|adiol|us)/, 'oestr'],
  [/^oedem/, 'edem', /^edem/, 'oedem'],
  [/^foet/, 'fet', /^fet(?=us|al)/, 'foet'],
  [/rrhoe/, 'rrhe', /rrhe(?=a)/, 'rrhoe'],
  [/pnoe/, 'pne', /pne(?=a|ic)/, 'pnoe'],
  [/coeliac/, 'celiac', /^celiac/, 'coeliac'],
  [/homoeo/, 'homeo', /^homeo/, 'homoeo'],
  [/leuc(?=o)/, 'leuk', /leuk(?=o)/, 'leuc'],
  [/sulph/, 'sulf', /sulf/, 'sulph'],
  [/ogue(s?)$/, 'og$1', /(?<=anal|catal|dial|monol|epil|prol)og(s?)$/, 'ogue$1'],
  [/programme(?=s?$)/, 'program', /program(?=s?$)/, 'programme'],
  [/^(def|lic|off|pret)ence/, '$1ense', /^(def|lic|off|pret)ense/, '$1ence'],
  [/(?<=counse|labe|mode|trave|signa|cance|tota|leve|fue|dia)ll(?=ing$|ed$|er$|ers$)/, 'l', /(?<=counse|labe|mode|trave|signa|cance|tota|leve|fue|dia)l(?=ing$|ed$|er$|ers$)/, 'll'],
  [/^(ful|enrol|instal|skil|wil)(?=ment|fil|ful)/, '$1l', /^(fu|enro|insta|ski|wi)ll(?=ment|fil|ful)/, '$1l'],
  [/^grey/, 'gray', /^gray/, 'grey'],
  [/^mould/, 'mold', /^mold/, 'mould'],
  [/^tyre/, 'tire', /^tire(?=s?$)/, 'tyre'],
  [/(?<=judg|acknowledg)ement/, 'ment', /(?<=judg|acknowledg)ment/, 'ement'],
  [/^orientat(?=ed|ing)/, 'orient', /^orient(?=ed|ing)/, 'orientat'],
  [/^dietitian/, 'dietician', /^dietician/, 'dietitian'],
]; // prettier-ignore

/** The American spelling of a normalised word; the word itself when the rules know of no other. */
export function american(word: string): string {
  return RULES.reduce((spelled, [british, replacement]) => {
    if (replacement.startsWith('iz') && ALWAYS_ISE.test(spelled)) return spelled;
    return spelled.replace(british, replacement);
  }, word);
}

/** The British spelling of a normalised word; the word itself when the rules know of no other. */
export function british(word: string): string {
  return RULES.reduce(
    (spelled, [, , americanForm, replacement]) => spelled.replace(americanForm, replacement),
    word,
  );
}

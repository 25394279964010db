/** In which encodings files of text come. */

/** In which encoding a file was read, and how that was told: by a person, or by the file. */
export interface FileEncoding {
  /** as the IANA registry has it, in lower case */
  name: string;
  /** `utf8`: it is valid UTF-8. `letters`: by which of its bytes stand together; that may be wrong */
  how: 'mark' | 'declaration' | 'utf8' | 'letters' | 'person';
}

/** Those that a person can choose from. */
export const FILE_ENCODINGS = [
  'utf-8',
  'windows-1252',
  'windows-1250',
  'windows-1251',
  'windows-1253',
  'windows-1254',
  'iso-8859-2',
  'iso-8859-15',
  'macintosh',
  'utf-16le',
  'utf-16be',
  'shift_jis',
  'euc-jp',
  'euc-kr',
  'gb18030',
  'big5',
  'koi8-r',
] as const;

export type FileEncodingName = (typeof FILE_ENCODINGS)[number];

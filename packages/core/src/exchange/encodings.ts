/** How a file may be written, by the labels of the WHATWG Encoding standard. */
export const ENCODINGS = [
  'utf-8',
  'utf-16le',
  'utf-16be',
  'windows-1252',
  'windows-1250',
  'windows-1251',
  'iso-8859-2',
  'iso-8859-15',
  'koi8-r',
  'macintosh',
  'gb18030',
  'big5',
  'shift_jis',
  'euc-jp',
  'euc-kr',
] as const;
export type Encoding = (typeof ENCODINGS)[number];

/** 64 MB: more than a life's messages. */
export const LARGEST_TEXT = 64 * 1024 * 1024;

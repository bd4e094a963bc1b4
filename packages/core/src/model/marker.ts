/** A code cut into its marker and the mnemonic it marks. Joined in order they give the code. */
export interface MarkedCode {
  before: string;
  mnemonic: string;
  after: string;
}

const LETTER_OR_DIGIT = /[\p{L}\p{N}\p{M}]/u;
const CUT = /^([^\p{L}\p{N}\p{M}\s]*)(.*?)([^\p{L}\p{N}\p{M}\s]*)$/su;

/**
 * The marker of a code: what stands before the first or after the last letter or digit.
 * A code of marks alone has no mnemonic for a marker to mark, so it is all mnemonic.
 */
export function splitMarker(code: string): MarkedCode {
  const cut = LETTER_OR_DIGIT.test(code) ? CUT.exec(code) : null;
  if (!cut) return { before: '', mnemonic: code, after: '' };
  return { before: cut[1]!, mnemonic: cut[2]!, after: cut[3]! };
}

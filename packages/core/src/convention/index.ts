/**
 * Conventions: the marker a person adds to a code so that it never appears in their own text.
 * Today: telling the marker of one code from its mnemonic.
 */
export { splitMarker, type MarkedCode } from './marker';

/** The pattern by which forms on the web judge a mail address: HTML Living Standard, 4.10.5.1.5, "valid email address". */
const VALID =
  /^[a-zA-Z0-9.!#$%&'*+\/=?^_`{|}~-]+@[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?(?:\.[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?)*$/;

export function isValidMailAddress(text: string): boolean {
  return VALID.test(text);
}

/** What is wrong with what stands in a mail field; null: nothing. Many forms do not take off the space that an expansion leaves. */
export function mailFault(text: string): 'empty' | 'space-left' | 'not-an-address' | null {
  if (text === '') return 'empty';
  if (isValidMailAddress(text)) return null;
  return isValidMailAddress(text.trim()) ? 'space-left' : 'not-an-address';
}

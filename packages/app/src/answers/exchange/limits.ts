/** Files up to this size are read, in bytes: twenty times the largest list of plain texts we know of. */
export const LARGEST_FILE = 32 * 1024 * 1024;

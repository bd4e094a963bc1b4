/** Whether what a shortcut gives is made when it fires, rather than put in as it is. */
export function isMade({ template, format }: { readonly template: boolean; readonly format: string }): boolean {
  return template || format === 'markdown';
}

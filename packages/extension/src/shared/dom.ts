type Child = Node | string | null | false;
type Properties<Tag extends keyof HTMLElementTagNameMap> = Partial<
  Omit<HTMLElementTagNameMap[Tag], 'style' | 'role'>
> & {
  role?: string;
  onClick?: () => void;
};

/** Makes an element with properties and what is in it. Texts are texts: nothing in them is read as HTML. */
export function make<Tag extends keyof HTMLElementTagNameMap>(
  tag: Tag,
  { onClick, ...properties }: Properties<Tag> = {},
  ...children: readonly Child[]
): HTMLElementTagNameMap[Tag] {
  const element = Object.assign(document.createElement(tag), properties) as HTMLElementTagNameMap[Tag];
  if (onClick) element.addEventListener('click', onClick);
  element.append(...children.filter((child) => child !== null && child !== false));
  return element;
}

/** A heading, text or label with the sentence of that name. */
export function labelled(text: string, control: HTMLElement): HTMLLabelElement {
  return make('label', {}, make('span', {}, text), control);
}
